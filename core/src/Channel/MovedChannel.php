<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** What a log shows of one channel. µs. */
final readonly class MovedChannel
{
    /**
     * @param  Letter|null  $letter  The stick that rides on it; null: none was found.
     * @param  bool|null  $reversed  Null: no stick was found.
     */
    public function __construct(public int $channel, public ?Letter $letter, public ?bool $reversed, public float $min, public float $rest, public float $max, public bool $moved)
    {
    }
}
