<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Dance\Move;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** What a dance of a rig needs to begin: the moves in words, where the sticks sit, and whether the stand-in can show it. */
final readonly class DanceSetUp implements \JsonSerializable
{
    public function __construct(private RigDocument $rig, private Formats $formats, private bool $isShort = false)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $script = new DanceScript($this->rig, $this->isShort);

        return (object) [
            'name' => $this->rig->name(),
            'moves' => array_map(static fn (Move $move, string $says): \stdClass => (object) (get_object_vars($move->jsonSerialize()) + ['says' => $says]), $script->moves(), $script->words()),
            'gimbals' => $this->rig->handset()->gimbals(),
            'leaves_throttle' => $this->rig->motorOffAtCentre(),
            'stand_in_refusal' => $refusal = $this->refusal(),
            'faults' => $refusal === null ? $this->faults() : [],
        ];
    }

    /** @return list<\stdClass> What may be put into the stand-in. */
    private function faults(): array
    {
        $can = array_values(array_diff(Fault::causes(), (new Faults($this->rig, $this->formats))->impossible()));

        return array_map(static fn (string $cause): \stdClass => (object) ['cause' => $cause, 'says' => Knowledge::shipped()->remedy($cause)->says ?? $cause], $can);
    }

    private function refusal(): ?string
    {
        try {
            (new DanceRehearsal($this->rig, new Node(new \stdClass), $this->formats))->danced(0);
        } catch (DocumentError $error) {
            return $error->getMessage();
        }

        return null;
    }
}
