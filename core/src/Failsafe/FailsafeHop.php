<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Place;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\Cut;
use Linguator\Core\Proof\MadeWith;
use Linguator\Core\Rig\RigDocument;

/** One hop of a chain when its link is lost: what is in force, what comes of it, and what must be mended (rule F). */
final class FailsafeHop
{
    private readonly Node $card;

    private readonly Node $recorded;

    // What is asked again and again of a document that does not change.
    private ?Outcome $outcome = null;

    private ?StoredValues $stored = null;

    private ?Findings $findings = null;

    /** @var array<string, list<string>> By where it was cut. */
    private array $testReasons = [];

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
        $receiver = $this->rig->boxes->at($this->at);
        assert($receiver instanceof Receiver);

        return $receiver;
    }

    /** The mode the receiver really is in: the recorded one, or its first where nothing or nothing possible was recorded; null: not known. */
    public function mode(): ?FailsafeMode
    {
        $modes = $this->modes();
        $recorded = $this->recordedMode();

        return $recorded === null || $this->impossible() !== null ? ($modes[0] ?? null) : $recorded;
    }

    /** By the settings; where they cannot tell, what the latest test showed, as long as that test holds. */
    public function outcome(): Outcome
    {
        if ($this->outcome === null) {
            $told = $this->bySettings();
            $this->outcome = $told === Outcome::Unknown ? $this->shown()?->outcome() ?? $told : $told;
        }

        return $this->outcome;
    }

    /** What follows from cards and settings alone. */
    public function bySettings(): Outcome
    {
        if ($this->sendersOwn() === InputLoss::Holds) {
            return Outcome::HoldsLast;
        }

        return match ($this->mode()) {
            FailsafeMode::Hold => Outcome::HoldsLast,
            FailsafeMode::None => $this->withoutPulses(true),
            FailsafeMode::Flag => $this->withFlag(),
            FailsafeMode::Stored => $this->stored()->outcome,
            default => Outcome::Unknown,
        };
    }

    /** What is to be seen when it is cut there, as far as cards and settings tell. */
    public function expected(Cut $cut): Outcome
    {
        return $cut === Cut::Lead && $this->leadOnCard() === null ? Outcome::Unknown : $this->bySettings();
    }

    /** What the latest test showed, where that is the answer; null: it told nothing, or holds no longer. */
    public function shown(): ?Shown
    {
        return $this->showed(Cut::Link);
    }

    private function showed(Cut $cut): ?Shown
    {
        return $this->testReasons($cut) === [] ? Shown::tryFrom($this->lastTest($cut)?->textOrNull('shows') ?? '') : null;
    }

    /**
     * Where this link can be lost, each to be tested: what sends is off; and the lead of a module comes off with the handset on, where it has
     * one, or where its card does not say that it then stops.
     *
     * @return non-empty-list<Cut>
     */
    public function cuts(): array
    {
        return $this->number === 1 && $this->sender() instanceof Module && ($this->isOnALead() || $this->leadOnCard() !== InputLoss::Stops) ? [Cut::Link, Cut::Lead] : [Cut::Link];
    }

    private function isOnALead(): bool
    {
        foreach ($this->rig->chain()->joints() as $joint) {
            if ($joint->to === $this->sender()) {
                return $joint->output?->place !== Place::Bay;
            }
        }

        return true;
    }

    /**
     * What the sender of the first hop does when it hears nothing: a module goes on sending by itself, or it does not; by its card, else by a
     * test with its lead pulled. A handset's own radio ends with the handset; the sender of a relay is judged by the hop before it.
     */
    private function sendersOwn(): ?InputLoss
    {
        $shown = $this->leadOnCard() === null ? $this->showed(Cut::Lead) : null;

        return $shown === null ? $this->leadOnCard() : ($shown === Shown::Holds ? InputLoss::Holds : InputLoss::Stops);
    }

    /** Whether what sends goes on by itself where the handset is off: its receiver hears nothing wrong. */
    public function goesOnSending(): bool
    {
        return $this->sendersOwn() === InputLoss::Holds;
    }

    private function leadOnCard(): ?InputLoss
    {
        $sender = $this->sender();

        return $this->number === 1 && $sender instanceof Module ? InputLoss::of($this->rig, $sender) : InputLoss::Stops;
    }

    public function sender(): ?Box
    {
        return $this->rig->boxes->at($this->at - 1);
    }

    public function findings(): Findings
    {
        return $this->findings ??= ($this->mode() === FailsafeMode::Stored ? $this->stored()->findings : Findings::none())
            ->and($this->impossible(), $this->stale(), $this->ownSending(), $this->untested(), $this->next === null ? $this->recovery() : null);
    }

    /** Whether what is to be seen is decided by the hop behind: the second radio stops with the first, and so its own failsafe acts. */
    public function isDecidedByNext(): bool
    {
        return $this->next !== null && $this->mode() === FailsafeMode::None && $this->sendersOwn() !== InputLoss::Holds && $this->reader() instanceof Module && InputLoss::of($this->rig, $this->reader()) === InputLoss::Stops;
    }

    public function severity(): Severity
    {
        $worst = $this->outcome()->least();
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
        $sender = $this->sender()?->name() ?? '';
        if ($this->bySettings() === Outcome::Unknown && $this->shown() !== null) {
            return "The test showed it: {$this->shown()->says()}.";
        }
        if ($this->sendersOwn() === InputLoss::Holds) {
            return "$sender goes on sending by itself when its input is silent: $name hears nothing wrong.";
        }

        return match ($this->mode()) {
            FailsafeMode::Hold => "$name repeats the last values.".($this->next === null ? '' : ' The second link stays up and carries them on.'),
            FailsafeMode::None => "$name stops all output".($reader === null ? '.' : ", and {$reader->name()} ".$this->readerSays($reader)),
            FailsafeMode::Flag => "$name raises the flag of the format".($reader === null ? '.' : "; {$reader->name()} ".($this->outcome() === Outcome::ControllerFailsafe ? 'sees it and acts.' : 'does not get it, or does not act on it.')),
            FailsafeMode::Stored => $this->stored()->because,
            default => "It is not known what $name does when it hears nothing.",
        };
    }

    /** The latest test of this hop, if there is one. */
    public function lastTest(Cut $cut = Cut::Link): ?Node
    {
        return CheckState::lastOf($this->rig, CheckKind::FailsafeTested, $this->number, $cut);
    }

    /** @return list<string> Why the latest test holds no longer; empty if it holds or there is none. */
    public function testReasons(Cut $cut = Cut::Link): array
    {
        $test = $this->lastTest($cut);

        return $this->testReasons[$cut->value] ??= $test === null ? [] : (new MadeWith($this->rig, $test->node('made_with'), $this->number))->reasons();
    }

    /** Whether every place where it can be lost was tested, and that holds. */
    public function isTested(): bool
    {
        return $this->proof()->holds();
    }

    /** The state of its tests: the first that does not hold, else that of the first. */
    public function proof(): CheckState
    {
        return $this->testState($this->untestedCut() ?? Cut::Link);
    }

    /** The first place where it can be lost whose test does not hold; null: all do. */
    public function untestedCut(): ?Cut
    {
        foreach ($this->cuts() as $cut) {
            if (! $this->testState($cut)->holds()) {
                return $cut;
            }
        }

        return null;
    }

    public function testState(Cut $cut): CheckState
    {
        return CheckState::of($this->rig, CheckKind::FailsafeTested, $this->number, $cut);
    }

    /** @return list<string> Why what was set holds no longer. */
    public function setReasons(): array
    {
        return $this->isSet() ? (new MadeWith($this->rig, $this->recorded->node('made_with'), $this->number))->reasons() : [];
    }

    public function isSet(): bool
    {
        return $this->recordedMode() !== null;
    }

    public function setAt(): ?string
    {
        return $this->recorded->textOrNull('at');
    }

    /** @return list<FailsafeMode>|null Those this receiver has, as delivered first; null: not known. */
    public function modes(): ?array
    {
        $modes = $this->card->node('failsafe')?->textsOrNull('modes');

        return $modes === null ? null : array_map(FailsafeMode::from(...), $modes);
    }

    /** @return list<SetBy>|null How it can be set; null: not known. */
    public function ways(): ?array
    {
        $ways = $this->card->node('failsafe')?->textsOrNull('set_by');

        return $ways === null ? null : array_map(SetBy::from(...), $ways);
    }

    public function setBy(): ?SetBy
    {
        return SetBy::tryFrom($this->recorded->textOrNull('set_by') ?? '');
    }

    /** @return list<float|null>|null What is stored by channel as this receiver puts it out, µs; null: nothing is. */
    public function storedUs(): ?array
    {
        $stored = $this->recorded->itemsOrNull('stored_us');

        return $stored === null ? null : array_map(static fn (mixed $us): ?float => is_int($us) || is_float($us) ? (float) $us : null, $stored);
    }

    private function recordedMode(): ?FailsafeMode
    {
        return FailsafeMode::tryFrom($this->recorded->textOrNull('mode') ?? '');
    }

    /** The box that gets what this receiver puts out, converters passed over. */
    public function reader(): ?Box
    {
        return $this->rig->boxes->readerOf($this->at);
    }

    /** What the box behind takes a silent wire for. */
    private function withoutPulses(bool $throughConverters): Outcome
    {
        foreach ($throughConverters ? $this->rig->boxes->convertersBehind($this->at) : [] as $converter) {
            $loss = InputLoss::of($this->rig, $converter);
            if ($loss !== InputLoss::Stops) {
                return $loss === InputLoss::Holds ? Outcome::HoldsLast : Outcome::Unknown;
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
            $reader instanceof Module => match (InputLoss::of($this->rig, $reader)) {
                InputLoss::Stops => $this->next?->outcome() ?? Outcome::Unknown,
                InputLoss::Holds => Outcome::HoldsLast,
                null => Outcome::Unknown,
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
        for ($k = $this->at; $this->rig->boxes->all[$k] !== $reader; $k++) {
            $via = $this->rig->recordedVia($this->rig->boxes->all[$k]->id(), $this->rig->boxes->all[$k + 1]->id());
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
        return $this->stored ??= StoredValues::judge($this->rig, $this->number, StoredUs::of($this->recorded));
    }

    /** F4: what was recorded is not something this receiver can do. */
    private function impossible(): ?Finding
    {
        [$mode, $way] = [$this->recordedMode(), $this->setBy()];
        $listed = static fn (FailsafeMode|SetBy ...$names): string => implode(', ', array_map(static fn (FailsafeMode|SetBy $name): string => $name->value, $names));
        [$modes, $ways, $name] = [$this->modes(), $this->ways(), $this->receiver()->name];
        $wrong = match (true) {
            $mode === null => null,
            $modes !== null && ! in_array($mode, $modes, true) => ["$name has no mode \"$mode->value\".", $mode->value, $listed(...$modes)],
            $ways === [] && $modes !== null && $mode !== $modes[0] => ["$name cannot be set: it stays as delivered.", $mode->value, $modes[0]->value],
            $way !== null && $ways !== null && ! in_array($way, $ways, true) => ["$name cannot be set by $way->value.", $way->value, $ways === [] ? 'not at all' : $listed(...$ways)],
            default => null,
        };

        return $wrong === null ? null : new Finding(Code::F4, Severity::Fix, $wrong[0], found: $wrong[1], expected: $wrong[2],
            why: 'What is written down is not what happens: it does what it is delivered with.', change: 'Record what this receiver can do, and set it again.');
    }

    /** F5: set before something it depends on changed. */
    private function stale(): ?Finding
    {
        $reasons = $this->setReasons();

        return $reasons === [] ? null : new Finding(Code::F5, Severity::Stop, 'Stale: '.implode(', ', $reasons).' since it was set.',
            why: 'Stored values age: what was low throttle may be full throttle now.', change: 'Set it again with the settings as they are, and test it again.');
    }

    /** F9: a module in front that may go on sending by itself. */
    private function ownSending(): ?Finding
    {
        $sender = $this->sender();

        return $sender === null || $this->sendersOwn() !== null ? null : new Finding(Code::F9, Severity::Check, "It is not known whether {$sender->name()} goes on sending when its input is silent.",
            why: 'A module that does keeps the link up with old commands when its lead comes off.', change: 'Pull its lead with the handset on and watch the craft; then enter on its card what it does.', from: $sender->id());
    }

    /** F6 for the last hop, F7 for the first of a relay. */
    private function untested(): ?Finding
    {
        $cut = $this->untestedCut();
        if ($cut === null) {
            return null;
        }
        $test = $this->lastTest($cut);
        $reasons = $this->testReasons($cut);
        $where = $cut === Cut::Lead ? ' with the lead of '.($this->sender()?->name() ?? 'the module').' pulled' : '';
        $message = match (true) {
            $test === null => "Never tested$where.",
            $test->text('result') !== 'pass' => "The last test$where failed.",
            default => "The last test$where no longer holds: ".implode(', ', $reasons).'.',
        };

        return new Finding($this->next === null ? Code::F6 : Code::F7, Severity::Stop, $message,
            why: 'Only a test shows what the craft does.', change: match (true) {
                $cut === Cut::Lead => 'Propellers off: throttle up a little, leave the handset on, pull the lead, watch.',
                $this->next === null => 'Propellers off: throttle up a little, switch the handset off, watch.',
                default => 'Switch the handset off and watch the relay; then pull the power of the relay.',
            });
    }

    private function recovery(): Finding
    {
        return new Finding(Code::F8, Severity::Note, Recovery::sentence($this->rig));
    }

    private function readerSays(Box $reader): string
    {
        if ($reader instanceof Module && InputLoss::of($this->rig, $reader) === InputLoss::Stops) {
            return 'stops too, so the next link is lost as well.';
        }

        return match ($this->withoutPulses(true)) {
            Outcome::ControllerFailsafe => 'notices at once.',
            Outcome::PulsesStop => 'gets no pulses any more.',
            Outcome::HoldsLast => 'goes on with the last values.',
            Outcome::Unknown => 'may or may not notice: it is not on a card.',
            default => 'goes quiet.',
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
