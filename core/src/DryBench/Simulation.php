<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;

/** Everything that can be seen of a rig while its controls stand as they do. */
final readonly class Simulation
{
    public function __construct(private Run $run, private Controls $controls)
    {
    }

    /** As the verb answers. */
    public function answer(): \stdClass
    {
        $craft = new Craft($this->run);
        $controller = $craft->controller($this->controls);

        return (object) [
            'couplings' => $this->run->couplings(),
            'craft' => $craft->values(),
            ...($controller === null ? [] : ['controller' => $controller]),
            'lights' => $this->lights(),
            ...($this->run->lost === [] ? [] : ['outcome' => $this->outcomes()]),
        ];
    }

    /** @return list<Light> Of every receiver and module, from the handset on. */
    public function lights(): array
    {
        $lights = [];
        foreach ($this->run->circuit->rig()->boxes as $position => $box) {
            if ($box instanceof Receiver || $box instanceof Module) {
                $lights[] = new Light($box->id(), $this->shows($box, $position));
            }
        }

        return $lights;
    }

    /** A module's light goes by the link behind it, a receiver's by its own. */
    private function shows(Box $box, int $position): Shows
    {
        $receiver = $box instanceof Module ? $position + 1 : $position;
        $hop = array_search($receiver, $this->run->circuit->rig()->boxes->hops(), true);

        return match (true) {
            $this->run->circuit->world->feed($box->id()) === Feed::None => Shows::Off,
            $hop !== false && $this->run->isLinked($hop + 1) => Shows::Linked,
            default => Shows::Searching,
        };
    }

    /** @return list<LossOutcome> Of the lost hops, each as if alone. */
    private function outcomes(): array
    {
        $lost = array_filter($this->run->circuit->losses->hops, fn (FailsafeHop $hop): bool => in_array($hop->number, $this->run->lost, true));

        return array_values(array_map(LossOutcome::of(...), $lost));
    }
}
