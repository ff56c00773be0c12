<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\HandsetSwitch;
use Linguator\Core\Rig\HandsetTraits;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;

/** What stands on a rig's dry bench: its boxes, what of its handset can be moved, which links can be lost, which faults put in. */
final readonly class DryBenchSetUp implements \JsonSerializable
{
    public function __construct(private RigDocument $rig, private Formats $formats)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $mode = $this->rig->handset()->stickMode();
        [$faults, $refusal] = $this->faults();

        return (object) [
            'name' => $this->rig->name(),
            'craft_kind' => $this->rig->kind()->value,
            'boxes' => array_map(static fn (Box $box): \stdClass => (object) ['id' => $box->id(), 'name' => $box->name(), 'kind' => $box->kind()->label()], $this->rig->boxes->all),
            'stick_mode' => $mode ?? HandsetTraits::USUAL_STICK_MODE,
            'stick_mode_known' => $mode !== null,
            'gimbals' => $this->rig->handset()->gimbals(),
            'sticks' => array_map(static fn (Letter $letter): \stdClass => (object) ['letter' => $letter->value, 'function' => $letter->functionName()], Letter::cases()),
            'switches' => array_map($this->switch(...), $this->rig->handset()->switches()),
            'hops' => array_map(fn (int $position): string => $this->rig->boxes->all[$position]->name(), $this->rig->boxes->hops()),
            'refusal' => $refusal,
            'faults' => $faults,
        ];
    }

    private function switch(HandsetSwitch $switch): \stdClass
    {
        $carried = array_filter($this->rig->switches(), static fn (SwitchSetting $setting): bool => $setting->switchId === $switch->id);

        return (object) ['id' => $switch->id, 'positions' => $switch->positions, 'carries' => array_values(array_map(static fn (SwitchSetting $setting): string => $setting->function, $carried))];
    }

    /** @return array{list<\stdClass>, string|null} Every fault with why it cannot be; and why the rig cannot be run yet. */
    private function faults(): array
    {
        try {
            $faults = new Faults($this->rig, $this->formats);
        } catch (DocumentError $error) {
            return [[], $error->getMessage()];
        }

        return [array_map(static fn (string $cause): \stdClass => (object) ['cause' => $cause, 'says' => Knowledge::shipped()->remedy($cause)->says ?? $cause, 'refusal' => self::sentence($faults->refusal($cause))], Fault::causes()), null];
    }

    /** What was said within a sentence, as one of its own. */
    private static function sentence(?string $why): ?string
    {
        return $why === null ? null : ucfirst($why);
    }
}
