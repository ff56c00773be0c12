<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Frame;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\Quantity\Pulse;

/** The values of a capture as another signal: serial in any format, or a pulse train. */
final readonly class Reencoder
{
    private const TRAIN_CHANNELS = 8;

    private const LEAD_US = 3000.0;

    /** What the gap of a train must have at least, µs. */
    private const GAP_US = 3500.0;

    /** @param  FormatCard|null  $card  Null: a pulse train, separators low. */
    public function __construct(private ?FormatCard $card)
    {
    }

    public function idle(): int
    {
        return $this->card === null ? 1 : (new UartWriter(LineSetting::of($this->card)))->idleLevel();
    }

    /**
     * @param  list<array{float, array<int, float>}>  $rows  ms and µs by channel.
     * @return \Generator<int, array{float, string}> When each frame begins, µs, and its bytes.
     */
    public function bytes(array $rows): \Generator
    {
        $card = $this->card ?? throw DocumentError::at('format', 'A pulse train has no bytes; expected vcd, csv or wav.');
        $encoder = new Encoder($card);
        $inFrame = $card->channelPart()->node->intOrNull('in_frame');
        foreach ($rows as $k => [$ms, $us]) {
            $counts = [];
            $channels = $inFrame === null ? max($card->fewestChannels, min($card->mostChannels, max(0, ...array_keys($us)))) : $card->mostChannels;
            for ($channel = 1; $channel <= $channels; $channel++) {
                $counts[$channel] = $card->scale->count($us[$channel] ?? Pulse::CENTRE_US);
            }
            $halves = array_chunk($counts, max(1, $inFrame ?? count($counts)), true);
            yield [self::LEAD_US + ($ms - $rows[0][0]) * 1000, $encoder->encode(new Frame($halves[$k % count($halves)]))];
        }
    }

    /**
     * @param  list<array{float, array<int, float>}>  $rows
     * @return \Generator<int, Edges>
     */
    public function edges(array $rows): \Generator
    {
        if ($this->card !== null) {
            $writer = new UartWriter(LineSetting::of($this->card));
            $free = 0.0;
            foreach ($this->bytes($rows) as [$us, $bytes]) {
                // A slower line cannot begin a frame before the last one has ended.
                $at = max($us, $free);
                $free = $at + $this->card->durationMs(strlen($bytes)) * 1000;
                yield $writer->write($bytes, $at);
            }

            return;
        }
        $writer = new PulseWriter(0);
        $free = 0.0;
        foreach ($rows as [$ms, $us]) {
            $at = self::LEAD_US + ($ms - $rows[0][0]) * 1000;
            if ($at < $free) {
                continue;
            }
            $values = array_values(array_slice($us, 0, self::TRAIN_CHANNELS, true));
            $free = $at + array_sum($values) + self::GAP_US;
            yield $writer->train($values, $at);
        }
    }

    /** @param  list<array{float, array<int, float>}>  $rows */
    public function lastsUs(array $rows): float
    {
        return $rows === [] ? 0.0 : 2 * self::LEAD_US + ($rows[count($rows) - 1][0] - $rows[0][0]) * 1000 + 2e4;
    }
}
