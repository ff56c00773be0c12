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
     * @return \Generator<int, array{float, string}> When each frame begins, µs, and its bytes.
     */
    public function bytes(ValueRows $rows): \Generator
    {
        $card = $this->card ?? throw DocumentError::at('format', 'A pulse train has no bytes; expected vcd, csv or wav.');
        $encoder = new Encoder($card);
        $inFrame = $card->channelPart()->node->intOrNull('in_frame');
        foreach ($rows as $k => $row) {
            $counts = [];
            $channels = $inFrame === null ? max($card->fewestChannels, min($card->mostChannels, max(0, ...array_keys($row->us)))) : $card->mostChannels;
            for ($channel = 1; $channel <= $channels; $channel++) {
                $counts[$channel] = $card->scale->count($row->us[$channel] ?? Pulse::CENTRE_US);
            }
            $halves = array_chunk($counts, max(1, $inFrame ?? count($counts)), true);
            yield [self::LEAD_US + ($row->ms - $rows->beginMs()) * 1000, $encoder->encode(new Frame($halves[$k % count($halves)]))];
        }
    }

    /** @return \Generator<int, Edges> */
    public function edges(ValueRows $rows): \Generator
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
        foreach ($rows as $row) {
            $at = self::LEAD_US + ($row->ms - $rows->beginMs()) * 1000;
            if ($at < $free) {
                continue;
            }
            $values = array_values(array_slice($row->us, 0, self::TRAIN_CHANNELS, true));
            $free = $at + array_sum($values) + self::GAP_US;
            yield $writer->train($values, $at);
        }
    }

    public function lastsUs(ValueRows $rows): float
    {
        return count($rows) === 0 ? 0.0 : 2 * self::LEAD_US + $rows->lastMs() * 1000 + 2e4;
    }
}
