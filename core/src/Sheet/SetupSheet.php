<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Readiness\Check;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Readiness\Verdict;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\MenuTopic;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigTrain;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Steps\StepState;
use Linguator\Core\Steps\Wiring\AntennaNote;
use Linguator\Core\Steps\Wiring\Colours;
use Linguator\Core\Steps\Wiring\PowerRow;
use Linguator\Core\Steps\Wiring\Wire;
use Linguator\Core\Steps\Wiring\WireRow;

/** What stands on a rig's set-up sheet: content only, in the order in which it is used at the bench. */
final readonly class SetupSheet
{
    private RigDocument $rig;

    private SettingNames $names;

    public function __construct(private Reviews $reviews, private ReadinessReview $readiness, private Verdict $verdict)
    {
        $this->rig = $reviews->rig;
        $this->names = new SettingNames($this->rig);
    }

    /** @return list<SheetSection> */
    public function sections(): array
    {
        if (count($this->rig->boxes) === 0) {
            return [];
        }
        $joins = $this->rig->chain()->joins();
        $sections = [
            new SheetSection('State', [$this->state()]),
            ...array_map($this->box(...), $this->rig->boxes->all),
            ...(new ToldSections($this->rig))->all(),
            ...array_map($this->wire(...), $this->reviews->wiring()->wires),
            new SheetSection('Power', $this->power()),
            new SheetSection('Antennas', $joins ? $this->antennas() : []),
            new SheetSection('Channels at the handset', $this->functions()),
            ...($joins ? (new SetSections($this->reviews))->all() : []),
            new SheetSection('If the link is lost', $joins ? [...SheetRow::where(MenuTopic::Failsafe, $this->rig), ...(new LossRows($this->reviews->failsafe()->shown()))->all()] : []),
            new SheetSection('Switching on and off', $joins ? $this->switchOn() : []),
            new SheetSection('Left as it is', $this->left()),
            new SheetSection('Proven', $joins ? $this->proven() : []),
        ];

        return array_values(array_filter($sections, static fn (SheetSection $section): bool => $section->rows !== []));
    }

    private function state(): SheetRow
    {
        $next = $this->verdict->next;

        return new SheetRow('state', $next->label, $next->sentence, match ($next->severity) {
            StepState::Done => RowState::Known,
            StepState::Open => RowState::Open,
            default => RowState::Attention,
        });
    }

    /** @return list<SheetRow> */
    private function left(): array
    {
        $rows = [];
        foreach ($this->readiness->leftovers()->left() as $leftover) {
            $left = $leftover->left;
            $rows[] = new SheetRow("left/$leftover->what", $leftover->step->title(), $leftover->sentence.($left === null ? '' : " $left->reason ($left->by, ".Day::of($left->at).')'));
        }

        return $rows;
    }

    private function box(Box $box): SheetSection
    {
        $rows = [...($box instanceof Handset ? $this->handset($box) : []), ...$this->settings($box)];
        if ($box instanceof Controller && $this->reviews->order()->taker?->controller === $box) {
            $rows[] = new SheetRow('controller_order', $this->names->name($box->id(), 'order'), $this->names->value('order', $this->reviews->order()->taker->order->toString()));
        }
        if ($rows === [] && ($box instanceof Module || $box instanceof Receiver)) {
            $rows[] = new SheetRow("{$box->id()}/as_delivered", 'Settings', 'as delivered');
        }

        return new SheetSection(ucfirst($box->kind()->label()).': '.$box->name(), [...$rows, ...($box instanceof Handset ? SheetRow::where(MenuTopic::Preparation, $this->rig) : []), ...$this->procedures($box)]);
    }

    /** @return list<SheetRow> What turns a feature of this box on or off, as its card tells it. */
    private function procedures(Box $box): array
    {
        $rows = [];
        foreach ($this->rig->card($box->id())?->node()->nodes('procedures') ?? [] as $k => $procedure) {
            $rows[] = new SheetRow("{$box->id()}/procedure/$k", $procedure->text('name'), $procedure->text('how'));
        }

        return $rows;
    }

    /** @return list<SheetRow> */
    private function handset(Handset $handset): array
    {
        $mode = $this->rig->handset()->stickMode();
        $order = $this->rig->handsetOrder();

        return [
            ...array_filter([$this->told('memory', 'Model memory'), $this->told('receiver_number', 'Receiver number')]),
            new SheetRow('stick_mode', 'Stick mode', (string) ($mode ?? 'not said'), $mode === null ? RowState::Open : RowState::Known),
            new SheetRow('order', $this->names->name($handset->id, 'order'), $order === null ? 'not known' : $this->names->value('order', $order->toString())),
        ];
    }

    /** Something told of this rig, as it was told: `00` stays `00`; null: it was not. */
    private function told(string $key, string $label): ?SheetRow
    {
        $value = $this->rig->settings()->get($key);

        return is_scalar($value) ? new SheetRow($key, $label, (string) $value) : null;
    }

    /** @return list<SheetRow> What is to be set in a box. */
    private function settings(Box $box): array
    {
        $rows = [];
        foreach ($this->reviews->path()->changes() as $change) {
            if ($change->box === $box->id()) {
                $rows[] = new SheetRow("$change->box/$change->setting", $change->name, $change->value, $change->done ? RowState::Known : RowState::Open);
            }
        }
        foreach ($this->rig->chain()->joints() as $joint) {
            $train = $joint->from === $box ? RigTrain::of($this->rig, $joint) : null;
            if ($train?->isHeld === true) {
                $rows[] = new SheetRow("{$box->id()}/held", 'Unused channels', sprintf('the %d that carry nothing, held at %g µs', $train->channels - $train->used, $train->train->held()->heldAt ?? $train->train->min), $train->isCured() ? RowState::Known : RowState::Attention);
            }
        }
        foreach ($this->reviews->order()->modules() as $entry) {
            if ($entry->module->id === $box->id()) {
                $rows[] = new SheetRow("{$box->id()}/remap", $this->names->name($box->id(), 'remap'), $entry->isOn ? 'on' : 'off');
            }
        }

        return $rows;
    }

    private function wire(Wire $wire): SheetSection
    {
        $rows = array_map(
            static fn (WireRow $row): SheetRow => new SheetRow("wire/$row->key", ucfirst($row->fromPin), $row->toPin.($row->note === null ? '' : ", $row->note").self::colours($row->colours)),
            $wire->rows,
        );
        $caution = $wire->caution === null ? [] : [new SheetRow("wire/$wire->from/plug", 'Plug', $wire->caution, RowState::Attention)];

        return new SheetSection("Wires: $wire->fromName to $wire->toName", [...$caution, ...$rows], $wire->from);
    }

    private static function colours(Colours $colours): string
    {
        $told = array_filter(['signal' => $colours->signal, 'plus' => $colours->plus, 'ground' => $colours->ground], static fn (string $colour): bool => $colour !== '');

        return $told === [] ? '' : ' ('.implode(', ', array_map(static fn (string $wire, string $colour): string => "$wire $colour", array_keys($told), $told)).')';
    }

    /** @return list<SheetRow> Where it sits, as somebody told, and what to mind of each. */
    private function antennas(): array
    {
        $notes = array_map(fn (AntennaNote $note): SheetRow => new SheetRow("antenna/$note->box", $this->rig->nameOf($note->box), ucfirst(str_replace("{$this->rig->nameOf($note->box)}: ", '', $note->text))), $this->reviews->wiring()->shown()->antennas);

        return array_values(array_filter([$this->told('antenna', 'Where it sits'), ...$notes]));
    }

    /** @return list<SheetRow> */
    private function power(): array
    {
        $pack = $this->rig->pack();
        $rows = $pack === null ? [] : [
            new SheetRow('pack', 'Handset pack', $pack->label()),
            new SheetRow('alarm', 'Alarm', sprintf('%g V', $pack->low())),
            new SheetRow('meter', 'Meter', sprintf('%g to %g V', $pack->meterFrom(), $pack->full())),
        ];

        return [...$rows, ...array_map(self::fed(...), $this->reviews->wiring()->power), ...$this->radiated()];
    }

    /** @return list<SheetRow> The power that a range check was made at. */
    private function radiated(): array
    {
        $range = $this->reviews->wiring()->range();

        return $range->setMw === null ? [] : [new SheetRow('power/radio', ($range->radio ?? 'Radio').' sends with', sprintf('%g mW', $range->setMw)), new SheetRow('power/range', 'Range check', $range->text)];
    }

    private static function fed(PowerRow $power): SheetRow
    {
        $state = match ($power->severity) {
            Severity::Ok => RowState::Known,
            Severity::Check => RowState::Open,
            default => RowState::Attention,
        };

        return new SheetRow("power/$power->name", $power->name, "$power->from; takes $power->takes".($state === RowState::Attention ? ". $power->message" : ''), $state);
    }

    /** @return list<SheetRow> */
    private function functions(): array
    {
        $isCounted = $this->rig->boxes->hasController();

        return array_map(static fn (FunctionChannel $entry): SheetRow => new SheetRow("function/$entry->function", "Channel $entry->channel",
            $entry->function.($isCounted && $entry->isAuxiliary() ? ", auxiliary {$entry->auxiliary()} at the controller" : '')), $this->rig->functions()->all ?? []);
    }

    /** @return list<SheetRow> */
    private function switchOn(): array
    {
        $steps = $this->reviews->wiring()->switchOn();

        return array_map(static fn (int $k, string $step): SheetRow => new SheetRow("on/$k", (string) ($k + 1), $step), array_keys($steps), $steps);
    }

    /** @return list<SheetRow> */
    private function proven(): array
    {
        $isWired = $this->reviews->wiring()->isWired();
        $required = array_values(array_filter($this->readiness->checks, static fn (Check $check): bool => $check->required));

        return [
            new SheetRow('wired', 'Wiring', $isWired ? 'as above' : 'not yet', $isWired ? RowState::Known : RowState::Open),
            ...array_map($this->check(...), $required),
            $this->signedOff(),
        ];
    }

    private function check(Check $check): SheetRow
    {
        $key = "proven/{$check->kind->value}/$check->hop";
        $title = $check->kind->title().$this->readiness->ofHop($check);
        $proof = $check->state;

        return match ($proof->state) {
            ProofState::Holds => new SheetRow($key, $title, $proof->at === null ? ($proof->observed ?? 'holds') : Day::of($proof->at)),
            ProofState::Stale => new SheetRow($key, $title, 'stale: '.implode(', ', $proof->reasons), RowState::Attention),
            ProofState::Failed => new SheetRow($key, $title, 'failed on '.Day::of($proof->at), RowState::Attention),
            ProofState::Open => new SheetRow($key, $title, 'not yet', RowState::Open),
        };
    }

    private function signedOff(): SheetRow
    {
        $signOff = $this->readiness->signOff();

        return new SheetRow('signed', 'Signed off', self::signature($signOff), $signOff->holds() ? RowState::Known : ($signOff->at === null ? RowState::Open : RowState::Attention));
    }

    private static function signature(CheckState $signOff): string
    {
        return $signOff->at === null ? 'not yet' : Day::of($signOff->at)." by $signOff->by".($signOff->holds() ? '' : '; no longer: '.implode(', ', $signOff->reasons));
    }
}
