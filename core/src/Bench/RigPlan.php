<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Chain\Apart;
use Linguator\Core\Chain\Miss;
use Linguator\Core\Chain\Plan;
use Linguator\Core\Chain\PlanRequest;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;

/** What a rig asks of the verb `plan`, and its answer with names and sentences for the screen. */
final readonly class RigPlan
{
    /** @param  list<\stdClass>  $shelf Gear cards. */
    public function __construct(private RigDocument $rig, private array $shelf)
    {
    }

    /** @throws DocumentError if the rig has not said which handset and craft to join. */
    public function question(): \stdClass
    {
        $path = $this->rig->path();
        foreach (['handset', 'craft'] as $end) {
            if ($path->textOrNull($end) === null) {
                throw DocumentError::at("path.$end", "No $end is chosen yet; pick one from the shelf.", 'not_chosen');
            }
        }
        $question = [
            'shelf' => $this->shelf,
            'handset' => $path->text('handset'),
            'craft' => $path->text('craft'),
            'channels' => $this->rig->channels(),
            'allow_relay' => $path->flag('allow_relay'),
            'through' => $path->texts('through'),
        ];
        $functions = $this->rig->functions()?->upTo($this->rig->channels());
        if ($functions !== null && ! $functions->isEmpty()) {
            $question['functions'] = $functions->jsonSerialize();
        }
        $pack = $this->rig->settings()->node('pack');
        if ($pack !== null) {
            $question['pack'] = $pack->value;
        }

        return (object) $question;
    }

    /**
     * The answer, with what a screen says beside it.
     *
     * @throws DocumentError as `question`, and if the shelf or the rig says something that cannot be.
     */
    public function shown(Schemas $schemas): \stdClass
    {
        $plan = $this->plan($schemas);
        $names = $this->names();
        $miss = $plan->nearestMiss;

        return (object) (Plain::object($plan) + ($miss === null ? [] : [
            'misses' => Plain::of(array_map(static fn (Apart $one): Miss => Miss::of($one->code, $names[$one->from] ?? $one->from, $names[$one->to] ?? $one->to), $miss->misses)),
        ]) + ['names' => (object) $names, 'setting_names' => (object) (new SettingNames($this->rig))->plainNames()]);
    }

    /**
     * What to tell `take-path` of the best way; null: nothing joins these two.
     *
     * @throws DocumentError as `shown`.
     */
    public function best(Schemas $schemas): ?\stdClass
    {
        $way = $this->plan($schemas)->paths[0] ?? null;

        return $way === null ? null : (object) array_intersect_key(get_object_vars($way->jsonSerialize()), ['boxes' => true, 'links' => true]);
    }

    private function plan(Schemas $schemas): Plan
    {
        return Plan::of(PlanRequest::fromDocument($schemas->check($this->question(), 'verbs/plan.in.json')));
    }

    /** @return array<string, string> Names by id. */
    private function names(): array
    {
        $names = [];
        foreach ($this->shelf as $card) {
            $node = new Node($card);
            $names[$node->text('id')] = $node->text('name');
        }

        return $names;
    }
}
