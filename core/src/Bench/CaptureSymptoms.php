<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Finding\Code;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\SignalFindings;
use Linguator\Core\Signal\Unrecognised;
use Linguator\Core\Signal\ValueLog;

/** What a capture at the output of a craft's receiver answers when a fault of its rig is looked for. */
final readonly class CaptureSymptoms
{
    private const TEST = 'capture_at_receiver_output';

    public function __construct(private RigDocument $rig)
    {
    }

    /**
     * @param  string  $name  Of the capture.
     * @return list<Symptom>
     */
    public function of(Recognised|ValueLog|Unrecognised $decoding, string $name): array
    {
        $codes = [];
        foreach (SignalFindings::of($decoding) as $finding) {
            $codes[] = $finding->code;
        }

        return array_values(array_filter([
            $decoding instanceof ValueLog ? null : $this->wire($decoding, $codes, $name),
            in_array(Code::ChannelStuck, $codes, true) ? new Symptom('values_moving', 'one_missing', "In the capture \"$name\" a channel stays as it is.") : null,
        ]));
    }

    /** @param  list<Code>  $codes */
    private function wire(Recognised|Unrecognised $decoding, array $codes, string $name): Symptom
    {
        $planned = $this->planned();
        $format = $decoding->carrier()->format();

        return match (true) {
            $format === null => new Symptom(self::TEST, $decoding->passage->bytes === 0 ? 'nothing' : 'other_format', "The capture \"$name\" is not recognised."),
            in_array(Code::LineInverted, $codes, true) => new Symptom(self::TEST, 'inverted', "The capture \"$name\" is $format, the other way up."),
            in_array(Code::SyncAmbiguous, $codes, true) => new Symptom(self::TEST, 'ambiguous', "The gap of the train in \"$name\" cannot be told from a pulse."),
            $planned !== null && $format !== $planned => new Symptom(self::TEST, 'other_format', "The capture \"$name\" is $format; planned is $planned."),
            default => new Symptom(self::TEST, 'as_planned', "The capture \"$name\" is $format."),
        };
    }

    /** What is recorded of the wire out of the craft's receiver; null: nothing. */
    private function planned(): ?string
    {
        $at = $this->rig->boxes->lastReceiverAt();
        $behind = $at === null ? null : $this->rig->boxes->at($at + 1);

        return $behind === null ? null : $this->rig->recordedVia($this->rig->boxes->lastReceiver()->id ?? '', $behind->id());
    }
}
