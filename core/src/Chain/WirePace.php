<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\OutputPort;

/**
 * The frame period on a wire: the shortest listed one its reader keeps up with (M7),
 * and, for a pulse train, one that leaves room for its gap (M2). In ms.
 */
final readonly class WirePace
{
    private const SYNC_DETECT_US = 3000.0;

    private const BEYOND_LONGEST_US = 500.0;

    private const TRAIN_CHANNELS = 8;

    private const EPSILON = 1e-9;

    /**
     * @param  bool  $isChange  The box is delivered with another period.
     */
    private function __construct(public float $periodMs, public bool $isChange, public Findings $findings)
    {
    }

    public static function choose(OutputPort $output, InputPort $input, Box $from, JoinContext $context): self
    {
        $needed = $output->format->id === 'ppm' ? self::trainNeeds($output, $from, $context) : 0.0;

        return $output->periodsMs === null
            ? self::usual($output, $input, $from)
            : self::listed($output->periodsMs, $input->maxRateHz, $needed, $from);
    }

    /**
     * The shortest frame that holds this pulse train and its gap (ms):
     * N × longest + max(3000, longest + 500) µs, with N the channels sent.
     */
    private static function trainNeeds(OutputPort $output, Box $from, JoinContext $context): float
    {
        $longest = $context->handset->longestPulseUs();

        return (self::trainChannels($output, $from) * $longest + max(self::SYNC_DETECT_US, $longest + self::BEYOND_LONGEST_US)) / 1000;
    }

    private static function trainChannels(OutputPort $output, Box $from): int
    {
        $channels = $output->channels ?? self::TRAIN_CHANNELS;

        return $from instanceof Handset && $from->channels !== null ? min($channels, $from->channels) : $channels;
    }

    /** @param  list<float>  $periods */
    private static function listed(array $periods, ?float $maxRateHz, float $needed, Box $from): self
    {
        $slowEnough = array_values(array_filter($periods, static fn (float $ms): bool => self::keepsUp($ms, $maxRateHz)));
        $roomy = array_values(array_filter($slowEnough, static fn (float $ms): bool => $ms >= $needed - self::EPSILON));
        $chosen = match (true) {
            $roomy !== [] => min($roomy),
            $slowEnough !== [] => max($slowEnough),
            default => max([0.0, ...$periods]),
        };
        $tooFast = $slowEnough === [] ? self::tooFast(Severity::Fix, $chosen, (float) $maxRateHz, $from) : null;
        $tooShort = $chosen >= $needed - self::EPSILON ? null : new Finding(Code::M2, Severity::Fix,
            sprintf('The pulse train of %s has no room for its gap: %g ms is too short.', $from->name(), $chosen),
            found: "$chosen ms", expected: sprintf('at least %g ms', ceil($needed * 2) / 2),
            why: 'At full stick the reader takes a channel for the gap: values jump or freeze.',
            change: 'Use a longer frame, send fewer channels, hold unused ones at their lowest value, or use a serial format.', from: $from->id());

        return new self($chosen, abs($chosen - $periods[0]) > self::EPSILON, Findings::of($tooFast, $tooShort));
    }

    private static function usual(OutputPort $output, InputPort $input, Box $from): self
    {
        $usual = $output->format->usualMs;
        $tooFast = self::keepsUp($usual, $input->maxRateHz) ? null : self::tooFast(Severity::Check, $usual, (float) $input->maxRateHz, $from);
        $mayBeCramped = $output->format->id === 'ppm' && self::trainChannels($output, $from) > self::TRAIN_CHANNELS;
        $cramped = ! $mayBeCramped ? null : new Finding(Code::M2, Severity::Check,
            sprintf('%s puts %d channels into one pulse train, and its frame period is not known.', $from->name(), self::trainChannels($output, $from)),
            found: self::trainChannels($output, $from).' channels', expected: 'at most 8, or a known frame period',
            why: 'Eight channels are what a usual frame holds with a safe gap.', change: 'Enter the frame period on the card, or send fewer channels.', from: $from->id());

        return new self($usual, false, Findings::of($tooFast, $cramped));
    }

    private static function keepsUp(float $periodMs, ?float $maxRateHz): bool
    {
        return $maxRateHz === null || 1000 / $periodMs <= $maxRateHz * (1 + self::EPSILON);
    }

    private static function tooFast(Severity $severity, float $periodMs, float $maxRateHz, Box $from): Finding
    {
        return new Finding(Code::M7, $severity,
            sprintf('%s sends a frame every %g ms; the reader keeps up with %g per second at most.', $from->name(), $periodMs, $maxRateHz),
            found: sprintf('%.4g Hz', 1000 / $periodMs), expected: "at most $maxRateHz Hz",
            why: 'The reader loses frames and reports errors, or an analogue servo overheats.',
            change: 'Lower the rate at the sender, or use another reader.', from: $from->id());
    }
}
