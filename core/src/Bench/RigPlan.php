<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Chain\Miss;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Finding\Code;
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
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    public function shown(array $answer): array
    {
        $names = $this->names();
        $miss = $answer['nearest_miss'] ?? null;
        if (is_array($miss) && is_array($miss['misses'] ?? null)) {
            $answer['misses'] = array_map(static function (mixed $entry) use ($names): mixed {
                assert(is_array($entry) && is_string($entry['code'] ?? null) && is_string($entry['from'] ?? null) && is_string($entry['to'] ?? null));

                return Plain::of(Miss::of(Code::from($entry['code']), $names[$entry['from']] ?? $entry['from'], $names[$entry['to']] ?? $entry['to']));
            }, array_values($miss['misses']));
        }
        $settings = new SettingNames($this->rig);
        $answer['names'] = (object) $names;
        $answer['setting_names'] = (object) $settings->plainNames();

        return $answer;
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
