<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Timing\PulseTrain;

/** What a capture says in plain words, and what to do about it. */
final readonly class SignalFindings
{
    private const LOST_SHARE = 0.01;

    /** Most bytes fail a parity that is there; a parity bit that nobody asked for shows in every other byte. */
    private const MISFIT_SHARE = ['even' => 0.5, 'odd' => 0.5, 'none' => 0.25];

    private const REASONS = [
        'checksum' => 'whose checksum is wrong', 'parity' => 'with a byte of wrong parity', 'header' => 'without a header', 'length' => 'of a wrong length byte', 'type' => 'of a wrong type byte', 'ending' => 'without their ending',
        'short' => 'too short', 'long' => 'too long', 'channels' => 'with other channels', 'sync' => 'with too short a gap', 'pulse' => 'with a pulse that is none',
    ];

    /** The step of the finest format, for comparing with limits. */
    private const DUST_US = 0.01;

    private FrameTally $tally;

    private Begin $begin;

    private Carrier $carrier;

    private function __construct(private Recognised|ValueLog $decoding)
    {
        $this->tally = $decoding->tally;
        $this->begin = $decoding->begin;
        $this->carrier = $decoding->carrier();
    }

    public static function of(Recognised|ValueLog|Unrecognised $decoding): Findings
    {
        $found = ! $decoding instanceof Unrecognised ? (new self($decoding))->all() : Findings::of(self::notRecognised($decoding));

        return $found->and(self::damage($decoding->damage), self::unit($decoding->begin));
    }

    private function all(): Findings
    {
        return Findings::of(
            $this->inverted(), $this->wrongBaud(), $this->parity(), $this->sync(),
            $this->dropped(), $this->failsafe(), $this->frameLost(), $this->lostCount(), $this->stuck(), $this->range(), $this->rate(),
        );
    }

    private static function notRecognised(Recognised|ValueLog|Unrecognised $decoding): Finding
    {
        $facts = $decoding->begin->facts;
        $closest = $decoding->begin->choice?->runnerUp;
        $asked = $decoding->begin->options->asked();

        return new Finding(
            Code::NotRecognised,
            Severity::Check,
            $asked === null ? 'Not recognised: none of the known formats explains this capture.' : "This is not $asked: no frame of it holds in this capture.",
            $facts === null
                ? sprintf('%d bytes', $decoding->passage->bytes ?? 0)
                : sprintf('idles %s, shortest stay %s, %s', $facts->idle === 1 ? 'high' : 'low', self::us($facts->shortestUs ?? 0), $facts->baud() === null ? 'no usual baud' : "near {$facts->baud()} baud"),
            'frames whose header, length, check and ending hold'.($closest === null ? '' : "; nearest is $closest->format at ".round($closest->confidence * 100).' %'),
            'The values on the wire stay unknown until its format is.',
            $asked !== null ? 'Let the format be found out, or capture longer.' : ($facts === null ? 'Capture again with times or levels, or write a format card from what your manual says.' : 'Capture longer or sample faster, or write a format card from these line facts.'),
        );
    }

    private function inverted(): ?Finding
    {
        $line = $this->carrier->line;
        $card = $this->carrier->card;
        if ($line === null || $card === null || $line->isInverted === $card->isInverted) {
            return null;
        }
        [$is, $should] = $line->isInverted ? ['low', 'high'] : ['high', 'low'];

        return new Finding(Code::LineInverted, Severity::Fix, "The line is upside down: it idles $is.", "idles $is", "idles $should ($card->name)", 'A reader that expects the other polarity sees no frame at all.', 'Put an inverter in between, or switch inversion on at the output or the input.');
    }

    private function wrongBaud(): ?Finding
    {
        if (! $this->decoding instanceof Recognised || ! $this->decoding->isWrongBaud()) {
            return null;
        }
        $measured = 1e6 / ($this->begin->facts->bitUs ?? 1);

        return new Finding(Code::WrongBaud, Severity::Fix, sprintf('The line does not run at the baud asked for: one bit lasts %s.', self::us(1e6 / $measured)), sprintf('%.0f baud', $measured), sprintf('%d baud (3 %% either way)', $this->carrier->card->baud ?? 0), 'A reader set to the other baud sees damaged bytes only.', 'Set the sender to the expected baud, or look for another format in this capture.');
    }

    private function parity(): ?Finding
    {
        $uart = $this->decoding->passage->uart;
        $card = $this->carrier->card;
        if ($uart === null || $card === null || $uart->bytes === 0 || $uart->parityErrors < self::MISFIT_SHARE[$card->parity] * $uart->bytes) {
            return null;
        }

        return new Finding(Code::ParityMismatch, Severity::Fix, $card->parity === 'none' ? 'The bytes carry a parity bit that the format does not have.' : "The parity of most bytes is not $card->parity.", sprintf('%d of %d bytes differ', $uart->parityErrors, $uart->bytes), $card->parity === 'none' ? 'no parity bit' : "$card->parity parity", 'A strict reader drops every such byte; a loose one works, so it fails with one box and not with another.', 'Set parity and stop bits at the sender to '.($card->parity === 'none' ? '8N' : '8'.strtoupper($card->parity[0])).$card->stopBits.'.');
    }

    private function sync(): ?Finding
    {
        $count = $this->tally->reasons['sync'] ?? 0;
        if ($count === 0) {
            return null;
        }
        $first = ($this->tally->badPlaces[0] ?? null)?->us;

        return new Finding(Code::SyncAmbiguous, Severity::Fix, $this->gap(), sprintf('%d of %d frames', $count, $this->frames()).($first === null ? '' : sprintf(', the first at %.1f ms', $first / 1000)), sprintf('a gap above %d µs and %d µs longer than the longest channel', PulseTrain::USUAL_DETECT_US, PulseTrain::UNMISTAKABLE_US), 'The reader loses its place: channels jump onto one another.', 'Lengthen the frame, send fewer channels, hold unused ones at their minimum, or use a serial format.');
    }

    /** With its measured length, and the frame that would have room for it; where no frame holds, nobody can say which interval is the gap. */
    private function gap(): string
    {
        $gap = $this->tally->good > 0 ? $this->tally->shortGap : null;

        return $gap === null
            ? 'The gap of the pulse train is too short to be told from a channel.'
            : sprintf('The gap of the pulse train is %.2f ms; %d channels need %.2f ms, and so a frame of %g ms.', $gap->us / 1000, $gap->channels, $gap->neededUs() / 1000, $gap->frameNeededUs() / 1000);
    }

    private function dropped(): ?Finding
    {
        $tally = $this->tally;
        $all = $this->frames();
        if ($this->decoding instanceof ValueLog || $all === 0) {
            return null;
        }
        $late = $tally->periods->lateFrames();
        // Frames that fail by their gap alone say nothing of plugs and wires.
        if ($tally->bad > 0 && array_keys($tally->reasons) === ['sync']) {
            return null;
        }
        if ($tally->bad + $late < self::LOST_SHARE * $all) {
            return null;
        }
        $reasons = implode(', ', array_map(static fn (string $reason, int $count): string => "$count ".(self::REASONS[$reason] ?? $reason), array_keys($tally->reasons), $tally->reasons));

        return new Finding(Code::FramesDropped, Severity::Check, sprintf('Frames are missing or damaged: %d bad, %d late, of %d.', $tally->bad, $late, $all), $reasons === '' ? sprintf('%d late frames', $late) : $reasons, 'less than 1 % bad or late', 'Each one is a moment without control; many in a row bring failsafe.', 'Look at plug, ground and wire length first, then at radio range or at the load of the sender.');
    }

    private function failsafe(): ?Finding
    {
        $count = $this->tally->flags->count('failsafe');

        return $count === 0 ? null : new Finding(Code::FailsafeActive, Severity::Check, sprintf('The failsafe flag is up in %d of %d frames%s.', $count, $this->tally->good, $this->since('failsafe')), "$count frames with the flag", 'none while the link stands', 'The receiver had lost the handset: these values are its failsafe values.', 'If the handset was on, look for the reason of the loss; if it was off, this is what the craft is told.');
    }

    private function frameLost(): ?Finding
    {
        $count = $this->tally->flags->count('frame_lost');

        return $count === 0 ? null : new Finding(Code::FrameLost, Severity::Note, sprintf('The frame-lost flag is up in %d of %d frames%s.', $count, $this->tally->good, $this->since('frame_lost')), "$count frames with the flag", 'few, at the edge of range', 'The receiver repeated older values in these frames.', 'Compare with distance and antenna; steady loss close by points at the antenna.');
    }

    private function lostCount(): ?Finding
    {
        $lost = $this->tally->lost;
        $all = $lost + $this->tally->good;

        return $lost === 0 ? null : new Finding(Code::FramesLostInAir, $lost >= self::LOST_SHARE * $all ? Severity::Check : Severity::Note, "The receiver counts $lost lost frames during the capture.", sprintf('%.1f %%', 100 * $lost / $all), 'few, at the edge of range', 'These never reached the receiver: the wire is not at fault.', 'Compare with distance and antenna; steady loss close by points at the antenna.');
    }

    /** Failsafe values stand still by their nature; and who moves a stick in a log and lets it go has it back where it began. */
    private function stuck(): ?Finding
    {
        $stuck = $this->tally->flags->count('failsafe') > 0 ? [] : $this->tally->channels->stuck();
        $frozen = array_values(array_filter($stuck, static fn (StuckChannel $one): bool => ! $one->isBack));
        $first = $frozen[0] ?? $stuck[0] ?? null;
        if ($first === null || ($frozen === [] && $this->decoding instanceof ValueLog)) {
            return null;
        }
        $channels = array_map(static fn (StuckChannel $one): int => $one->channel, $stuck);
        $last = array_pop($channels);
        $names = $channels === [] ? "Channel $last moved before and stands" : 'Channels '.implode(', ', $channels)." and $last moved before and stand";
        $since = $first->fromUs === null ? "frame $first->from" : sprintf('%.2f s', $first->fromUs / 1e6);
        $found = implode(', ', array_map(static fn (StuckChannel $one): string => sprintf('channel %d at %.1f µs', $one->channel, $one->us), $stuck));

        return new Finding(Code::ChannelStuck, $frozen === [] ? Severity::Note : Severity::Check, "$names still since $since.", $found.' to the end', 'movement while the stick moves', 'If the stick was moved, the sender has stopped taking it over.', 'Move the stick again while capturing; if it stays, look at the input, the mixer and the failsafe of the sender.');
    }

    private function range(): ?Finding
    {
        $outside = [];
        foreach ($this->tally->channels->summaries() as $channel) {
            if ($channel->minUs < Pulse::LOWEST_US - self::DUST_US || $channel->maxUs > Pulse::HIGHEST_US + self::DUST_US) {
                $outside[] = sprintf('channel %d: %.0f to %.0f µs', $channel->channel, $channel->minUs, $channel->maxUs);
            }
        }
        $count = count($outside);

        return $count === 0 ? null : new Finding(Code::ValuesOutOfRange, Severity::Check, $count === 1 ? 'One channel leaves the usual range.' : "$count channels leave the usual range.", implode('; ', array_slice($outside, 0, 6)).($count > 6 ? ' …' : ''), '900 to 2100 µs', 'Servos may be driven into their stops, and some readers take such values for a lost signal.', 'Cut the travel at the handset, or check that the format is the right one.');
    }

    private function rate(): ?Finding
    {
        $most = $this->begin->options->maxRateHz;
        $median = $this->tally->periods->medianUs();
        if ($most === null || $median === null || 1e6 / $median <= $most * 1.001) {
            return null;
        }

        return new Finding(Code::RateFasterThanReader, Severity::Fix, 'Frames come faster than the reader can take them.', sprintf('%.1f frames/s', 1e6 / $median), sprintf('at most %.1f frames/s', $most), 'The reader skips frames or loses its place.', 'Lower the rate at the sender, or use another reader.');
    }

    private static function damage(Damage $damage): ?Finding
    {
        if ($damage->count === 0) {
            return null;
        }
        $first = $damage->places[0];

        return new Finding(Code::CaptureDamaged, Severity::Check, $damage->count === 1 ? 'One place of the capture cannot be read.' : "$damage->count places of the capture cannot be read.", "line {$first['line']}: {$first['found']}", $first['expected'], 'What stands there is missing below; the rest is kept.', 'Look at the file there, or capture again.');
    }

    private static function unit(Begin $begin): ?Finding
    {
        return $begin->isUnitTold ? null : new Finding(Code::TimeUnitAssumed, Severity::Note, 'The heading does not tell the unit of time; seconds are assumed.', null, 'a heading such as time_us or Time [s]', 'With another unit every duration here is wrong by its factor.', 'Name the unit in the heading if it is another one.');
    }

    /** Sound and bad ones. */
    private function frames(): int
    {
        return $this->tally->good + $this->tally->bad;
    }

    private function since(string $flag): string
    {
        $first = $this->tally->flags->first($flag);

        return match (true) {
            $first === null => '',
            $first->fromUs === null => ", first in frame $first->fromFrame",
            default => sprintf(', first at %.2f s', $first->fromUs / 1e6),
        };
    }

    private static function us(float $us): string
    {
        return ($us < 100 ? round($us, 2) : round($us)).' µs';
    }
}
