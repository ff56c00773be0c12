<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Chain\Boxes;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\CraftKind;
use Linguator\Core\Rig\RigDocument;

/** What happens when a link is lost, hop by hop, and what is recommended. */
final readonly class FailsafeReview
{
    /** @var list<FailsafeHop> */
    public array $hops;

    public function __construct(private RigDocument $rig)
    {
        $positions = $rig->boxes->hops();
        $hops = [];
        $next = null;
        foreach (array_reverse($positions, true) as $k => $at) {
            $next = new FailsafeHop($rig, $k + 1, $at, $next);
            array_unshift($hops, $next);
        }
        $this->hops = $hops;
    }

    /** @throws DocumentError at `hop` if there is no such hop, from 1. */
    public function hop(int $number): FailsafeHop
    {
        return $this->hops[$number - 1] ?? throw DocumentError::at('hop', "Found hop $number; this rig has ".count($this->hops).'.', 'no_such_hop');
    }

    /** The mode a hop should be in with this craft and these boxes; null if the receiver has none that would do. */
    public function recommended(FailsafeHop $hop): ?FailsafeMode
    {
        $wanted = $this->wanted($hop);
        $modes = $hop->modes();
        if ($modes === null) {
            return $wanted;
        }
        foreach ([$wanted, $wanted === FailsafeMode::None ? FailsafeMode::Stored : FailsafeMode::None, FailsafeMode::Flag] as $mode) {
            if (in_array($mode, $modes, true)) {
                return $mode;
            }
        }

        return null;
    }

    public function why(FailsafeHop $hop): string
    {
        $mode = $this->recommended($hop);
        $reader = $hop->reader()?->name();

        return match (true) {
            $hop->next !== null && $mode === FailsafeMode::None => 'The first receiver must not hold: when it goes silent the second radio stops too, and the craft acts on that.',
            $hop->next !== null => 'The second radio would go on sending old commands: the first receiver must send safe values itself.',
            $mode === FailsafeMode::None && ! $hop->reader() instanceof Controller => 'It can do nothing else: surfaces stay where they are, and the motor stops if its speed controller times out.',
            $mode === FailsafeMode::None && $this->rig->holdsPosition() => "Without pulses $reader notices at once, and comes home or lands as it is set to.",
            $mode === FailsafeMode::None => "Without pulses $reader notices at once, and does what it is set to.",
            $mode === FailsafeMode::Flag => "$reader sees the flag, and does what it is set to.",
            default => 'Stored: '.SafeValues::of($this->rig, $hop->number)->sentence().'.'.($this->rig->kind() === CraftKind::Glider ? ' A slight turn keeps a glider near.' : ''),
        };
    }

    /** As the verb answers. */
    public function answer(): \stdClass
    {
        return (object) [
            'hops' => array_map(static fn (FailsafeHop $hop): array => [
                'hop' => $hop->number,
                'outcome' => $hop->outcome()->value,
                'severity' => $hop->severity()->value,
                'because' => $hop->because(),
                'findings' => $hop->findings(),
            ], $this->hops),
            'recommended' => ['hops' => array_map(fn (FailsafeHop $hop): array => ['hop' => $hop->number, 'mode' => $this->recommended($hop)?->value], $this->hops)],
            'recovery' => Recovery::sentence($this->rig),
        ];
    }

    private function wanted(FailsafeHop $hop): FailsafeMode
    {
        $reader = $hop->reader();
        $card = $reader === null ? null : $this->rig->card($reader->id())?->node();
        if ($hop->next !== null) {
            return $reader instanceof Module && InputLoss::of($this->rig, $reader) === InputLoss::Stops ? FailsafeMode::None : FailsafeMode::Stored;
        }
        $watched = $reader instanceof Controller && $card?->flagOrNull('watches_failsafe') === true;

        return $this->rig->kind() === CraftKind::Multirotor && $watched ? FailsafeMode::None : FailsafeMode::Stored;
    }
}
