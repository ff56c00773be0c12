<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** One plug: from which pin to which. */
final readonly class WireRow
{
    /**
     * @param  string  $key  By which its colours are kept.
     * @param  string  $carries  The function or the channel.
     * @param  int|null  $channel  Null: all, or not known.
     */
    public function __construct(
        public string $key,
        public string $from,
        public string $fromPin,
        public string $to,
        public string $toPin,
        public string $carries,
        public ?int $channel,
        public ?string $note,
        public Colours $colours,
    ) {
    }
}
