<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Line\LineSetting;

/** A card tried on the begin of a capture. */
final readonly class Attempt
{
    /**
     * @param  float  $score  How well it explains the bytes: 0 to 1.
     * @param  LineSetting|null  $line  By which the bytes were read off a wire.
     */
    public function __construct(public FormatCard $card, public float $score, public ?LineSetting $line = null, public string $bytes = '')
    {
    }

    /** Which of two goes first; of two kinds of a format that fit alike the usual one. */
    public static function compare(self $a, self $b): int
    {
        return $b->score <=> $a->score ?: strlen($a->card->id) <=> strlen($b->card->id);
    }
}
