<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\RigDocument;

/** What happens when a link is lost, hop by hop, and what is recommended. */
final readonly class FailsafeReview
{
    /** @var list<FailsafeHop> */
    public array $hops;

    public function __construct(private RigDocument $rig)
    {
        $positions = array_keys(array_filter($rig->boxes, static fn (object $box): bool => $box instanceof Receiver));
        $hops = [];
        $next = null;
        foreach (array_reverse($positions, true) as $k => $at) {
            $next = new FailsafeHop($rig, $k + 1, $at, $next);
            array_unshift($hops, $next);
        }
        $this->hops = $hops;
    }

    /** The mode a hop should be in with this craft and these boxes; null if the receiver has none that would do. */
    public function recommended(FailsafeHop $hop): ?string
    {
        $wanted = $this->wanted($hop);
        $modes = $hop->modes();
        if ($modes === null) {
            return $wanted;
        }
        foreach ([$wanted, $wanted === 'none' ? 'stored' : 'none', 'flag'] as $mode) {
            if (in_array($mode, $modes, true)) {
                return $mode;
            }
        }

        return null;
    }

    public function why(FailsafeHop $hop): string
    {
        return match (true) {
            $hop->next !== null && $this->wanted($hop) === 'none' => 'The first receiver must not hold: when it goes silent the second radio stops too, and the craft acts on that.',
            $hop->next !== null => 'The second radio would go on sending old commands: the first receiver must send safe values itself.',
            $this->wanted($hop) === 'none' => 'Without pulses the controller knows at once, and does what it is set to.',
            $this->rig->motorOffAtCentre() => 'Motor neutral, steering neutral.',
            default => 'Motor low, surfaces neutral; a slight turn keeps a glider near.',
        };
    }

    /** @return array<string, mixed> As the verb answers. */
    public function toArray(): array
    {
        return [
            'hops' => array_map(static fn (FailsafeHop $hop): array => [
                'hop' => $hop->number,
                'outcome' => $hop->outcome()->value,
                'severity' => $hop->severity()->value,
                'because' => $hop->because(),
                'findings' => Finding::listToArray($hop->findings()),
            ], $this->hops),
            'recommended' => ['hops' => array_map(fn (FailsafeHop $hop): array => ['hop' => $hop->number, 'mode' => $this->recommended($hop)], $this->hops)],
            'recovery' => Recovery::sentence($this->rig),
        ];
    }

    private function wanted(FailsafeHop $hop): string
    {
        $reader = $hop->reader();
        $card = $reader === null ? null : $this->rig->card($reader->id())?->node();
        if ($hop->next !== null) {
            return $reader instanceof Module && $card?->textOrNull('on_input_loss') === 'stops' ? 'none' : 'stored';
        }
        $watched = $reader instanceof Controller && $card?->flagOrNull('watches_failsafe') === true;

        return $this->rig->craft()->textOrNull('kind') === 'multirotor' && $watched ? 'none' : 'stored';
    }
}
