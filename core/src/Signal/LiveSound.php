<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Line\PulseShape;
use Linguator\Core\Wire\WireFormats;

/**
 * The last stretch of what a sound input hears, read as the recording that it is: the newest values of the pulse train, or of the single pulse, in it. A stretch that
 * holds some frames is enough, wherever it begins; 0.12 s does, also for the slowest servo.
 */
final readonly class LiveSound
{
    /** A peak below this part of full scale is silence. */
    private const SILENCE = 0.02;

    private const FULL = 32_768;

    /** @param  int  $rate  Samples a second. */
    public function __construct(private CaptureDesk $desk, private int $rate)
    {
    }

    /**
     * @param  string  $samples  Of one side, 16 bits each, low byte first.
     * @return \stdClass As `Live::snapshot`, with the grain and with why nothing is heard.
     */
    public function heard(string $samples): \stdClass
    {
        $decoding = $this->decoded($samples);
        $tally = $decoding?->tally;
        $channels = array_map(
            static fn (ChannelSummary $one): array => ['channel' => $one->channel, 'us' => round($one->lastUs, 1), 'low_us' => round($one->minUs, 1), 'high_us' => round($one->maxUs, 1)],
            $tally?->channels->summaries() ?? [],
        );

        return (object) [
            'format' => $decoding?->format,
            'card' => null,
            'name' => $decoding === null ? null : WireFormats::shipped()[$decoding->format]->name ?? $decoding->format,
            'bytes' => strlen($samples),
            'good' => $tally->good ?? 0,
            'bad' => $tally->bad ?? 0,
            't_ms' => null,
            'flags' => [],
            'channels' => $channels,
            'grain_us' => round(1e6 / $this->rate, 1),
            'says' => $channels !== [] ? null : ($this->isSilent($samples) ? 'Nothing is heard: look at the lead, at the input that is chosen, and at its level.' : 'Something is heard, but no pulses that could be values: look whether it is a trainer socket or the signal of a servo, and at the level of the input.'),
        ];
    }

    private function decoded(string $samples): ?Recognised
    {
        $header = 'RIFF'.pack('V', 36 + strlen($samples)).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, $this->rate, 2 * $this->rate, 2, 16).'data'.pack('V', strlen($samples));
        try {
            $decoding = $this->desk->decode(Source::ofText($header.$samples), (object) ['kind' => CaptureKind::Wav->value]);
        } catch (DocumentError) {
            // Too short, or nothing but silence.
            return null;
        }

        // Only pulses come through a sound input whole; what else seems to be in it is none.
        return $decoding instanceof Recognised && in_array($decoding->format, PulseShape::NAMES, true) ? $decoding : null;
    }

    /** @return list<int> Signed. */
    private static function values(string $samples): array
    {
        $words = array_filter(array_values((array) unpack('v*', $samples)), is_int(...));

        return array_map(static fn (int $word): int => $word >= self::FULL ? $word - 2 * self::FULL : $word, array_values($words));
    }

    private function isSilent(string $samples): bool
    {
        $values = [0, ...self::values($samples)];

        return max($values) - min($values) < self::SILENCE * 2 * self::FULL;
    }
}
