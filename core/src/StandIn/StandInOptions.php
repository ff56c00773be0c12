<?php

declare(strict_types=1);

namespace Linguator\Core\StandIn;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;

/** What a stand-in sends, and what is wrong with it (`stand-in.schema.json`). */
final readonly class StandInOptions
{
    private const TRAIN_MS = 22.0;

    private const PULSE_MS = 20.0;

    private const TRAIN_CHANNELS = 8;

    private const SECONDS = 5.0;

    private const SEED = 1;

    /**
     * @param  FormatCard|null  $card  Null: pulses.
     * @param  float  $baud  As it is sent, whatever the card says.
     * @param  float  $dropped  Share of frames that are left out, 0 to 1.
     * @param  float  $damaged  Share of frames with a wrong bit, or of trains with a false edge.
     * @param  float  $jitterUs  Most that a frame comes early or late.
     */
    private function __construct(
        public string $format,
        public ?FormatCard $card,
        public int $channels,
        public float $seconds,
        public float $periodMs,
        public float $baud,
        public bool $isInverted,
        public float $dropped,
        public float $damaged,
        public float $jitterUs,
        public ?float $failsafeAfterS,
        public ?float $stuckAfterS,
        public int $seed,
    ) {
    }

    /**
     * @param  list<FormatCard>  $own  The user's formats.
     *
     * @throws DocumentError
     */
    public static function of(mixed $document, Schemas $schemas, array $own = []): self
    {
        $node = new Node($schemas->check($document, 'stand-in.schema.json'));
        $format = $node->text('format');
        $card = self::card($format, $own);
        $most = $card === null ? ($format === 'pwm' ? 1 : 16) : $card->mostChannels;
        $channels = $node->intOrNull('channels') ?? ($card === null ? min($most, self::TRAIN_CHANNELS) : $most);
        if ($channels > $most || $channels < ($card->fewestChannels ?? 1)) {
            throw DocumentError::at('channels', "Found $channels channels; $format carries ".($card->fewestChannels ?? 1)." to $most.", 'too_many_channels');
        }

        return new self(
            $format,
            $card,
            $channels,
            $node->numberOrNull('seconds') ?? self::SECONDS,
            $node->numberOrNull('period_ms') ?? ($card === null ? ($format === 'pwm' ? self::PULSE_MS : self::TRAIN_MS) : $card->usualMs),
            $node->numberOrNull('baud') ?? (float) ($card->baud ?? 0),
            $node->flag('inverted'),
            $node->number('dropped', 0),
            $node->number('damaged', 0),
            $node->number('jitter_us', 0),
            $node->numberOrNull('failsafe_after_s'),
            $node->numberOrNull('stuck_after_s'),
            $node->intOrNull('seed') ?? self::SEED,
        );
    }

    /** @param  list<FormatCard>  $own */
    private static function card(string $format, array $own): ?FormatCard
    {
        if ($format === 'ppm' || $format === 'pwm') {
            return null;
        }
        foreach ($own as $card) {
            if ($card->id === $format) {
                return $card;
            }
        }

        return FormatCards::get($format) ?? throw DocumentError::at('format', 'There is no format '.Excerpt::of($format).'; expected ppm, pwm or one of '.implode(', ', FormatCards::ids()).'.', 'no_such_format');
    }
}
