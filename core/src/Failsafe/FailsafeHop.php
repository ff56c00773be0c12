<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Rig\CheckState;
use Linguator\Core\Rig\RigDocument;

/** One hop of a chain when its link is lost: what is in force, what comes of it, and what must be mended (rule F). */
final class FailsafeHop
{
    private const HOLD = 'hold';

    private const STORED = 'stored';

    private const NONE = 'none';

    private const FLAG = 'flag';

    private readonly Node $card;

    private readonly Node $recorded;

    // What is asked again and again of a document that does not change.
    private ?Outcome $outcome = null;

    private ?StoredValues $stored = null;

    /** @var list<Finding>|null */
    private ?array $findings = null;

    /** @var list<string>|null */
    private ?array $testReasons = null;

    /**
     * @param  int  $number  From 1.
     * @param  int  $at  Position of its receiver in the chain.
     * @param  self|null  $next  The hop behind it.
     */
    public function __construct(private readonly RigDocument $rig, public readonly int $number, private readonly int $at, public readonly ?self $next)
    {
        $this->card = $rig->cards[$at]->node();
        $this->recorded = self::entry($rig, $number);
    }

    public function receiver(): Receiver
    {
        $receiver = $this->rig->boxes[$this->at];
        assert($receiver instanceof Receiver);

        return $receiver;
    }

    /** The mode the receiver really is in: the recorded one, or its first where nothing or nothing possible was recorded; null: not known. */
    public function mode(): ?string
    {
        $modes = $this->modes();
        $recorded = $this->recorded->textOrNull('mode');

        return $recorded === null || $this->impossible() !== null ? ($modes[0] ?? null) : $recorded;
    }

    public function outcome(): Outcome
    {
        return $this->outcome ??= match ($this->mode()) {
            self::HOLD => Outcome::HoldsLast,
            self::NONE => $this->withoutPulses(true),
            self::FLAG => $this->withFlag(),
            self::STORED => $this->stored()->outcome,
            default => Outcome::Unknown,
        };
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->findings ??= array_values(array_filter([
            ...($this->mode() === self::STORED ? $this->stored()->findings : []),
            $this->impossible(), $this->stale(), $this->untested(), $this->next === null ? $this->recovery() : null,
        ]));
    }

    public function severity(): Severity
    {
        $worst = $this->outcome()->severity();
        foreach ($this->findings() as $finding) {
            if ($finding->severity !== Severity::Note && $finding->severity->weight() > $worst->weight()) {
                $worst = $finding->severity;
            }
        }

        return $worst;
    }

    /** Why the outcome is what it is, in one sentence with its numbers. */
    public function because(): string
    {
        $name = $this->receiver()->name;
        $reader = $this->reader();

        return match ($this->mode()) {
            self::HOLD => "$name repeats the last values.".($this->next === null ? '' : ' The second link stays up and carries them on.'),
            self::NONE => "$name stops all output".($reader === null ? '.' : ", and {$reader->name()} ".$this->readerSays($reader)),
            self::FLAG => "$name raises the flag of the format".($reader === null ? '.' : "; {$reader->name()} ".($this->outcome() === Outcome::ControllerFailsafe ? 'sees it and acts.' : 'does not get it, or does not act on it.')),
            self::STORED => $this->stored()->because,
            default => "It is not known what $name does when it hears nothing.",
        };
    }

    /** The latest test of this hop, if there is one. */
    public function lastTest(): ?Node
    {
        $last = null;
        foreach ($this->rig->node()->nodes('checks') as $check) {
            $last = $check->text('check') === 'failsafe_tested' && ($check->intOrNull('hop') ?? 1) === $this->number ? $check : $last;
        }

        return $last;
    }

    /** @return list<string> Why the latest test holds no longer; empty if it holds or there is none. */
    public function testReasons(): array
    {
        $test = $this->lastTest();

        return $this->testReasons ??= $test === null ? [] : CheckState::reasons($this->rig, $test->node('made_with'), $this->number);
    }

    public function isTested(): bool
    {
        return $this->lastTest()?->text('result') === 'pass' && $this->testReasons() === [];
    }

    /** @return list<string> Why what was set holds no longer. */
    public function setReasons(): array
    {
        return $this->isSet() ? CheckState::reasons($this->rig, $this->recorded->node('made_with'), $this->number) : [];
    }

    public function isSet(): bool
    {
        return $this->recorded->textOrNull('mode') !== null;
    }

    public function setAt(): ?string
    {
        return $this->recorded->textOrNull('at');
    }

    /** @return list<string>|null Null: not known. */
    public function modes(): ?array
    {
        return $this->card->node('failsafe')?->textsOrNull('modes');
    }

    /** @return list<string>|null Null: not known. */
    public function ways(): ?array
    {
        return $this->card->node('failsafe')?->textsOrNull('set_by');
    }

    public function recorded(): Node
    {
        return $this->recorded;
    }

    /** The box that gets what this receiver puts out, converters passed over. */
    public function reader(): ?Box
    {
        foreach (array_slice($this->rig->boxes, $this->at + 1) as $box) {
            if (! $box instanceof Converter) {
                return $box;
            }
        }

        return null;
    }

    /** What the box behind takes a silent wire for. */
    private function withoutPulses(bool $throughConverters): Outcome
    {
        foreach ($throughConverters ? $this->converters() : [] as $converter) {
            $loss = $this->rig->card($converter->id())?->node()->textOrNull('on_input_loss');
            if ($loss !== 'stops') {
                return $loss === 'holds' ? Outcome::HoldsLast : Outcome::Unknown;
            }
        }
        $reader = $this->reader();
        $card = $reader === null ? null : $this->rig->card($reader->id())?->node();

        return match (true) {
            $reader instanceof ServoSet => Outcome::PulsesStop,
            $reader instanceof Controller => match ($card?->flagOrNull('watches_failsafe')) {
                true => Outcome::ControllerFailsafe,
                false => Outcome::HoldsLast,
                null => Outcome::Unknown,
            },
            $reader instanceof Module => match ($card?->textOrNull('on_input_loss')) {
                'stops' => $this->next?->outcome() ?? Outcome::Unknown,
                'holds' => Outcome::HoldsLast,
                default => Outcome::Unknown,
            },
            default => Outcome::Unknown,
        };
    }

    /** A flag helps only a controller, and only where every wire up to it carries one. */
    private function withFlag(): Outcome
    {
        $reader = $this->reader();
        if (! $reader instanceof Controller) {
            return Outcome::HoldsLast;
        }
        for ($k = $this->at; $this->rig->boxes[$k] !== $reader; $k++) {
            $via = $this->rig->recordedVia($this->rig->boxes[$k]->id(), $this->rig->boxes[$k + 1]->id());
            if ($via === null) {
                return Outcome::Unknown;
            }
            if (! FlagFormats::carry($via)) {
                return Outcome::HoldsLast;
            }
        }

        return $this->withoutPulses(false);
    }

    private function stored(): StoredValues
    {
        return $this->stored ??= StoredValues::judge($this->rig, $this->number, $this->recorded->items('stored_us'));
    }

    /** @return list<Converter> */
    private function converters(): array
    {
        $converters = [];
        foreach (array_slice($this->rig->boxes, $this->at + 1) as $box) {
            if (! $box instanceof Converter) {
                break;
            }
            $converters[] = $box;
        }

        return $converters;
    }

    /** F4: what was recorded is not something this receiver can do. */
    private function impossible(): ?Finding
    {
        $mode = $this->recorded->textOrNull('mode');
        $way = $this->recorded->textOrNull('set_by');
        [$modes, $ways, $name] = [$this->modes(), $this->ways(), $this->receiver()->name];
        $wrong = match (true) {
            $mode === null => null,
            $modes !== null && ! in_array($mode, $modes, true) => ["$name has no mode \"$mode\".", $mode, implode(', ', $modes)],
            $ways === [] && $modes !== null && $mode !== $modes[0] => ["$name cannot be set: it stays as delivered.", $mode, $modes[0]],
            $way !== null && $ways !== null && ! in_array($way, $ways, true) => ["$name cannot be set by $way.", $way, $ways === [] ? 'not at all' : implode(', ', $ways)],
            default => null,
        };

        return $wrong === null ? null : new Finding('F4', Severity::Fix, $wrong[0], found: $wrong[1], expected: $wrong[2],
            why: 'What is written down is not what happens: it does what it is delivered with.', change: 'Record what this receiver can do, and set it again.');
    }

    /** F5: set before something it depends on changed. */
    private function stale(): ?Finding
    {
        $reasons = $this->setReasons();

        return $reasons === [] ? null : new Finding('F5', Severity::Stop, 'Stale: '.implode(', ', $reasons).' since it was set.',
            why: 'Stored values age: what was low throttle may be full throttle now.', change: 'Set it again with the settings as they are, and test it again.');
    }

    /** F6 for the last hop, F7 for the first of a relay. */
    private function untested(): ?Finding
    {
        if ($this->isTested()) {
            return null;
        }
        $test = $this->lastTest();
        $reasons = $this->testReasons();
        $message = match (true) {
            $test === null => 'Never tested.',
            $test->text('result') !== 'pass' => 'The last test failed.',
            default => 'The last test no longer holds: '.implode(', ', $reasons).'.',
        };

        return new Finding($this->next === null ? 'F6' : 'F7', Severity::Stop, $message,
            why: 'Only a test shows what the craft does.', change: $this->next === null ? 'Propellers off: throttle up a little, switch the handset off, watch.' : 'Switch the handset off and watch the relay; then pull the power of the relay.');
    }

    private function recovery(): Finding
    {
        return new Finding('F8', Severity::Note, Recovery::sentence($this->rig));
    }

    private function readerSays(Box $reader): string
    {
        return match ($this->withoutPulses(true)) {
            Outcome::ControllerFailsafe => 'notices at once.',
            Outcome::PulsesStop => 'gets no pulses any more.',
            Outcome::HoldsLast => 'goes on with the last values.',
            Outcome::Unknown => 'may or may not notice: it is not on a card.',
            default => $reader instanceof Module ? 'stops too, so the next link is lost as well.' : 'goes quiet.',
        };
    }

    private static function entry(RigDocument $rig, int $number): Node
    {
        foreach ($rig->settings()->nodes('failsafe') as $entry) {
            if ($entry->int('hop') === $number) {
                return $entry;
            }
        }

        return new Node(new \stdClass);
    }
}
