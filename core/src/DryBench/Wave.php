<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Format\Formats;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\UartWriter;

/** What a probe on a wire sees of one frame: when it changes. */
final readonly class Wave
{
    /** Bytes of a serial frame that are drawn: more than its first values are not to be read from a drawing. */
    private const BYTES = 8;

    private const LEAD_US = 20.0;

    /**
     * @param  int  $coupling  Its position, from 0.
     * @param  int  $idle  The level at which the wire rests, 0 or 1.
     * @param  list<float>  $timesUs  When it changes; it begins at rest.
     * @param  float  $lastsUs  How much time is drawn.
     */
    private function __construct(public int $coupling, public int $idle, public array $timesUs, public float $lastsUs, public bool $isWhole)
    {
    }

    /** Null: nothing of it runs on one wire, or it is silent. */
    public static function of(int $position, Coupling $coupling, Formats $formats): ?self
    {
        $card = $formats->get($coupling->via);

        return match (true) {
            $coupling->hex !== null && $card !== null => self::serial($position, (string) hex2bin($coupling->hex), new LineSetting(1e6 / $card->baud, $card->parity, $card->stopBits, $coupling->inverted)),
            $coupling->via === 'ppm' && $coupling->us !== null => self::train($position, $coupling),
            default => null,
        };
    }

    private static function serial(int $position, string $bytes, LineSetting $line): self
    {
        $writer = new UartWriter($line);
        $idle = $writer->idleLevel();
        $shown = substr($bytes, 0, self::BYTES);
        $edges = $writer->write($shown, self::LEAD_US);

        return self::from($position, $idle, $edges, self::LEAD_US + strlen($shown) * $line->byteUs() + self::LEAD_US, strlen($bytes) <= self::BYTES);
    }

    private static function train(int $position, Coupling $coupling): self
    {
        $active = $coupling->inverted ? 0 : 1;
        $us = array_values(array_filter($coupling->us ?? [], is_float(...)));

        return self::from($position, 1 - $active, (new PulseWriter($active))->train($us, self::LEAD_US), $coupling->periodMs * 1000, true);
    }

    private static function from(int $position, int $idle, Edges $edges, float $lastsUs, bool $isWhole): self
    {
        return new self($position, $idle, array_map(static fn (float $us): float => round($us, 2), $edges->times), round($lastsUs, 2), $isWhole);
    }
}
