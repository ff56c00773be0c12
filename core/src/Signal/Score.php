<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Format\TimedBytes;

/** How well a card explains bytes: by frames whose header, length, check and ending hold. */
final class Score implements FrameSink
{
    /** Below this a format is not recognised. */
    public const RECOGNISED = 0.6;

    /** What a first sound frame leaves of the doubt, with a check and without. */
    private const DOUBT = ['checked' => 0.3, 'unchecked' => 0.4];

    /** A check that holds is telling even where much else is damaged; a bare start and end are not. */
    private const WEIGHT_OF_SHARE = ['checked' => 0.25, 'unchecked' => 0.5];

    /** Silence and plausible numbers are weaker marks than a header. */
    private const SILENCE_FRAMED = 0.97;

    private int $frames = 0;

    private int $bytes = 0;

    /** Bytes that lie in damaged stretches. */
    private int $lost = 0;

    private function __construct()
    {
    }

    /** @param  list<TimedBytes>  $chunks  The begin of a capture. */
    public static function of(FormatCard $card, array $chunks): float
    {
        $score = new self;
        $framer = Framers::for($card);
        foreach ($chunks as $some) {
            $framer->push($some, $score);
        }
        $framer->finish($score);

        return self::confidence($card, $score->frames, $score->bytes / max(1, $score->bytes + $score->lost));
    }

    /**
     * @param  int  $frames  Sound ones.
     * @param  float  $share  Of the bytes that are explained: 0 to 1.
     * @return float 0 to 1; below 0.6 is not recognised.
     */
    public static function confidence(FormatCard $card, int $frames, float $share): float
    {
        $kind = (new FrameLayout($card))->isChecked ? 'checked' : 'unchecked';
        $confidence = (1 - self::DOUBT[$kind] ** $frames) * $share ** self::WEIGHT_OF_SHARE[$kind];

        return round($card->silenceMs === null ? $confidence : $confidence * self::SILENCE_FRAMED, 3);
    }

    /**
     * Pulses of the right widths are hardly anything else, even where no frame of them can be told from the next.
     *
     * @param  int  $frames  Sound or not.
     * @param  float  $share  Of them that are sound.
     */
    public static function ofPulses(int $frames, float $share): float
    {
        return round((1 - self::DOUBT['unchecked'] ** $frames) * (Score::RECOGNISED + (1 - Score::RECOGNISED) * $share), 3);
    }

    public function frames(FrameRun $run): void
    {
        $this->frames += $run->count();
        $this->bytes += strlen($run->bytes);
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->lost += $bytes;
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        $this->bytes += strlen($frame);
    }
}
