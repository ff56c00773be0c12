<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;

/**
 * The settings that checks are made with, by name, as they are now; and how they differ from what was recorded.
 *
 * A key missing in what was recorded is not compared; missing entries of lists are defaults, so a rig that spells a default out is the same.
 */
final class DependentSettings
{
    private const ENDS = [1000.0, 1500.0, 2000.0];

    private const NAMES = [
        'order' => "the handset's order",
        'controller_order' => "the controller's order",
        'remap' => 'remapping in the module',
        'directions' => 'a direction',
        'ends' => 'the ends of a channel',
        'weights' => 'a weight',
        'travel' => 'an end point or a sub-trim',
        'receiver' => 'the receiver',
        'receiver_number' => 'the receiver number',
        'module' => 'the module',
        'controller' => 'the controller',
        'craft' => 'what the chain ends in',
        'variant' => 'the protocol',
        'channel_mode' => 'how many channels are sent',
        'plugs' => 'where the plugs go',
        'links' => 'the path',
        'channels' => 'which function rides on which channel',
        'switches' => 'a switch',
        'windows' => 'a window in the controller',
        'thresholds' => 'a threshold in the controller',
        'power_mw' => 'the power set',
        'pack' => "the handset's pack",
        'craft_pack' => 'the pack in the craft',
        'antenna' => 'where the antenna sits',
        'failsafe' => 'what is set for the loss of the link',
    ];

    /** Where in the document each of them is written, to find out when it was changed. */
    private const PLACES = [
        'directions' => ['settings.channels'], 'ends' => ['settings.channels'], 'weights' => ['settings.channels'], 'travel' => ['settings.channels'],
        'receiver' => ['chain'], 'module' => ['chain'], 'controller' => ['chain'], 'craft' => ['chain'],
        'channels' => ['craft.functions'], 'variant' => ['settings.variant', 'settings.links'],
    ];

    /** @var array<string, mixed> By key and hop: a rig's document does not change, and every check asks for the same. */
    private array $known = [];

    /** Of one rig's document there is one: `RigDocument::dependent`. */
    public function __construct(private readonly RigDocument $rig)
    {
    }

    public static function label(string $key): string
    {
        return self::NAMES[$key] ?? $key;
    }

    /**
     * The settings named, as they are, to be recorded with a check.
     *
     * @param  list<string>  $keys
     */
    public function record(array $keys, int $hop = 1): \stdClass
    {
        $record = new \stdClass;
        foreach ($keys as $key) {
            $record->{$key} = $this->now($key, $hop);
        }

        return $record;
    }

    /** @return list<string> Keys of what was recorded that are otherwise now. */
    public function differences(Node $madeWith, int $hop = 1): array
    {
        $differences = [];
        foreach (array_keys(get_object_vars($madeWith->value)) as $key) {
            $key = (string) $key;
            if (! $this->same($key, $madeWith->get($key), $this->now($key, $hop))) {
                $differences[] = $key;
            }
        }

        return $differences;
    }

    /** What changed, in words, with the day if the history tells it. */
    public function reason(string $key, Node $madeWith, int $hop = 1): string
    {
        [$then, $now] = [$madeWith->get($key), $this->now($key, $hop)];
        $from = is_scalar($then) && is_scalar($now) ? sprintf(' from %s to %s', self::shown($then), self::shown($now)) : '';
        $day = $this->changedAt($key);

        return self::label($key).' changed'.$from.($day === null ? '' : ' on '.Day::of($day));
    }

    public function now(string $key, int $hop = 1): mixed
    {
        if (! array_key_exists("$key/$hop", $this->known)) {
            $this->known["$key/$hop"] = $this->read($key, $hop);
        }

        return $this->known["$key/$hop"];
    }

    private function read(string $key, int $hop): mixed
    {
        $settings = $this->rig->settings();

        return match ($key) {
            'order' => $this->rig->handsetOrder()?->toString(),
            'controller_order' => $this->controllerOrder(),
            'remap' => $this->remaps(),
            'directions' => $this->byChannel(static fn (ChannelRecord $channel): bool => $channel->now()->reversed),
            'ends' => $this->byChannel(static fn (ChannelRecord $channel): array => $channel->ends() === null ? self::ENDS : array_values($channel->ends()->toArray())),
            'weights' => $this->byChannel(static fn (ChannelRecord $channel): array => [$channel->node()->numberOrNull('weight') ?? 100.0, $channel->node()->numberOrNull('mix_weight') ?? 100.0]),
            'travel' => $this->byChannel(static fn (ChannelRecord $channel): array => [$channel->now()->loPct, $channel->now()->hiPct, $channel->now()->subtrim]),
            'receiver' => $this->boxId(Receiver::class, $hop),
            'module' => $this->boxId(Module::class, 1),
            'controller' => $this->boxId(Controller::class, 1),
            'craft' => $this->rig->craftBox()?->id(),
            'channels' => array_map(static fn (array $entry): \stdClass => (object) $entry, $this->rig->functions() ?? []),
            'plugs' => $settings->textOrNull('plugs') ?? 'labels',
            'variant' => $settings->textOrNull('variant') ?? $this->link($hop)?->text('via'),
            'channel_mode' => $settings->textOrNull('channel_mode') ?? $this->link($hop)?->node('settings')?->textOrNull('channel_mode'),
            'pack' => $settings->get('pack') ?? ($this->rig->cards === [] ? null : $this->rig->cards[0]->node()->get('pack')),
            'failsafe' => $this->failsafe($hop),
            'links', 'switches', 'windows' => $settings->items($key),
            'thresholds' => $settings->get($key) ?? new \stdClass,
            default => $settings->get($key),
        };
    }

    private function same(string $key, mixed $then, mixed $now): bool
    {
        return match ($key) {
            'directions' => self::sameList($then, $now, false),
            'ends' => self::sameList($then, $now, self::ENDS),
            'weights' => self::sameList($then, $now, [100.0, 100.0]),
            'travel' => self::sameList($then, $now, [100.0, 100.0, 0.0]),
            'remap' => $this->sameRemaps($then),
            'failsafe' => RigPatch::same(self::plainFailsafe($then), self::plainFailsafe($now)),
            'thresholds' => RigPatch::same(self::numeric($then ?? new \stdClass), self::numeric($now)),
            default => RigPatch::same(self::numeric($then), self::numeric($now)),
        };
    }

    /** Lists by channel, with what stands for a channel nobody wrote down. */
    private static function sameList(mixed $then, mixed $now, mixed $default): bool
    {
        [$then, $now] = [is_array($then) ? array_values($then) : [], is_array($now) ? array_values($now) : []];
        for ($k = 0; $k < max(count($then), count($now)); $k++) {
            if (! RigPatch::same(self::numeric($then[$k] ?? $default), self::numeric($now[$k] ?? $default))) {
                return false;
            }
        }

        return true;
    }

    private function sameRemaps(mixed $then): bool
    {
        foreach ($this->rig->boxes as $box) {
            if ($box instanceof Module) {
                $was = $then instanceof \stdClass ? ($then->{$box->id} ?? $box->remapOn) : $box->remapOn;
                if ($was !== $this->rig->remapIsOn($box->id, $box->remapOn)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** 988 and 988.0 are the same value. */
    private static function numeric(mixed $value): mixed
    {
        if (is_int($value)) {
            return (float) $value;
        }
        if (is_array($value)) {
            return array_map(self::numeric(...), $value);
        }
        if ($value instanceof \stdClass) {
            return (object) array_map(self::numeric(...), get_object_vars($value));
        }

        return $value;
    }

    private static function plainFailsafe(mixed $entry): mixed
    {
        $values = $entry instanceof \stdClass ? get_object_vars($entry) : [];

        return self::numeric((object) ['mode' => $values['mode'] ?? null, 'stored_us' => $values['stored_us'] ?? null, 'set_by' => $values['set_by'] ?? null]);
    }

    private function failsafe(int $hop): \stdClass
    {
        foreach ($this->rig->settings()->nodes('failsafe') as $entry) {
            if ($entry->int('hop') === $hop) {
                return (object) ['mode' => $entry->get('mode'), 'stored_us' => $entry->get('stored_us'), 'set_by' => $entry->get('set_by')];
            }
        }

        return (object) ['mode' => null, 'stored_us' => null, 'set_by' => null];
    }

    /** The order the first controller behind the last receiver takes: as set, else its card's; null without one. */
    private function controllerOrder(): ?string
    {
        $reader = (new TravelContext($this->rig))->reader();

        return $reader === null ? null : ($this->rig->controllerOrder() ?? $reader->order)?->toString();
    }

    private function remaps(): \stdClass
    {
        $remaps = new \stdClass;
        foreach ($this->rig->boxes as $box) {
            if ($box instanceof Module && $box->expects !== null) {
                $remaps->{$box->id} = $this->rig->remapIsOn($box->id, $box->remapOn);
            }
        }

        return $remaps;
    }

    /**
     * @param  callable(ChannelRecord): mixed  $of
     * @return list<mixed> For channels 1 up to the last one written down.
     */
    private function byChannel(callable $of): array
    {
        $last = max([0, ...array_map(static fn (Node $entry): int => $entry->int('channel'), $this->rig->settings()->nodes('channels'))]);
        $list = [];
        for ($channel = 1; $channel <= $last; $channel++) {
            $list[] = $of(new ChannelRecord($this->rig, $channel));
        }

        return $list;
    }

    /** @param  class-string  $class */
    private function boxId(string $class, int $position): ?string
    {
        $found = array_values(array_filter($this->rig->boxes, static fn (object $box): bool => $box instanceof $class));

        return isset($found[$position - 1]) ? $found[$position - 1]->id() : null;
    }

    /** The air link of a hop, as it was recorded. */
    private function link(int $hop): ?Node
    {
        $receiver = $this->boxId(Receiver::class, $hop);
        foreach ($this->rig->settings()->nodes('links') as $link) {
            if ($link->text('to') === $receiver) {
                return $link;
            }
        }

        return null;
    }

    private function changedAt(string $key): ?string
    {
        $places = self::PLACES[$key] ?? ["settings.$key"];
        $at = null;
        foreach ($this->rig->node()->nodes('log') as $entry) {
            $touched = EntryChange::read($entry->value)?->places() ?? [];
            foreach ($touched as $place) {
                foreach ($places as $wanted) {
                    $at = $place === $wanted || str_starts_with($place, "$wanted.") ? $entry->textOrNull('at') : $at;
                }
            }
        }

        return $at;
    }

    private static function shown(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'on' : 'off') : (is_scalar($value) ? (string) $value : '?');
    }
}
