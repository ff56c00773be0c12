<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameAnatomy;
use Linguator\Core\Quantity\Steps;

/** One frame of a capture, taken apart into its fields and channels. */
final readonly class FrameView implements \JsonSerializable
{
    /** Shown behind the last channel of a pulse train. */
    private const PULSE_END_US = 1000.0;

    public function __construct(private Carrier $carrier, private PickedFrame $frame)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $card = $this->carrier->card;
        $bytes = $this->frame->bytes;
        $anatomy = $card === null || $bytes === null ? null : new FrameAnatomy($card);

        return (object) [
            'index' => $this->frame->index,
            't_ms' => Steps::msOf($this->frame->us),
            'begins_us' => $card === null ? $this->frame->us : (new FrameClock($card))->at($this->frame->index, $this->frame->us),
            'lasts_us' => $bytes === null ? array_sum($this->frame->widths) / 1000 + self::PULSE_END_US : strlen($bytes) * ($this->carrier->lineOrUsual()?->byteUs() ?? 0.0),
            'offset' => $this->frame->offset,
            'hex' => $bytes === null ? null : bin2hex($bytes),
            'fields' => $anatomy?->fields((string) $bytes) ?? [],
            'channels' => $anatomy?->channels((string) $bytes) ?? $this->pulses(),
        ];
    }

    /** @return list<array{channel: int, from_bit: null, bits: null, raw: null, us: float}> */
    private function pulses(): array
    {
        $channels = [];
        foreach ($this->frame->widths as $channel => $ns) {
            $channels[] = ['channel' => $channel, 'from_bit' => null, 'bits' => null, 'raw' => null, 'us' => $ns / 1000];
        }

        return $channels;
    }
}
