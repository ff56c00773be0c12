<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\EntryChange;
use Linguator\Core\Rig\RigDocument;

/**
 * The settings a proof was made with, held against those of now: the difference is the reason why it no longer holds.
 *
 * A setting that was not recorded is not compared; missing entries of lists are defaults, so a rig that spells a default out is the same.
 */
final readonly class MadeWith
{
    private SettingsNow $now;

    /** @param  Node|null  $then  As recorded. */
    public function __construct(private RigDocument $rig, private ?Node $then, private int $hop = 1)
    {
        $this->now = SettingsNow::of($rig);
    }

    public function isRecorded(): bool
    {
        return $this->then !== null && get_object_vars($this->then->value) !== [];
    }

    /** @return list<Dependency> What is otherwise now. */
    public function differences(): array
    {
        $recorded = array_map(static fn (string|int $key): ?Dependency => Dependency::tryFrom((string) $key), array_keys($this->then === null ? [] : get_object_vars($this->then->value)));

        return array_values(array_filter($recorded, fn (?Dependency $setting): bool => $setting !== null && ! $this->isSame($setting)));
    }

    /** @return list<string> Why what was made with these settings holds no longer, in words; empty while it does. */
    public function reasons(): array
    {
        return $this->isRecorded() ? array_map($this->reason(...), $this->differences()) : ['it was made with settings nobody recorded'];
    }

    /** What changed, with the day if the history tells it. */
    private function reason(Dependency $setting): string
    {
        [$then, $now] = [$this->then?->get($setting->value), $this->now->now($setting, $this->hop)];
        $from = is_scalar($then) && is_scalar($now) ? sprintf(' from %s to %s', self::shown($then), self::shown($now)) : '';
        $day = $this->changedAt($setting);

        return $setting->label().' changed'.$from.($day === null ? '' : ' on '.Day::of($day));
    }

    private function isSame(Dependency $setting): bool
    {
        [$then, $now] = [$this->then?->get($setting->value), $this->now->now($setting, $this->hop)];

        return match ($setting) {
            Dependency::Directions => self::sameList($then, $now, false),
            Dependency::Ends => self::sameList($then, $now, [Pulse::LOW_US, Pulse::CENTRE_US, Pulse::HIGH_US]),
            Dependency::Weights => self::sameList($then, $now, [100.0, 100.0]),
            Dependency::Travel => self::sameList($then, $now, [100.0, 100.0, 0.0]),
            Dependency::Remap => $this->sameRemaps($then),
            Dependency::Failsafe => self::isAlike(self::plainFailsafe($then), self::plainFailsafe($now)),
            Dependency::Thresholds => self::isAlike($then ?? new \stdClass, $now),
            default => self::isAlike($then, $now),
        };
    }

    /** Lists by channel, with what stands for a channel nobody wrote down. */
    private static function sameList(mixed $then, mixed $now, mixed $default): bool
    {
        [$then, $now] = [is_array($then) ? array_values($then) : [], is_array($now) ? array_values($now) : []];
        for ($k = 0; $k < max(count($then), count($now)); $k++) {
            if (! self::isAlike($then[$k] ?? $default, $now[$k] ?? $default)) {
                return false;
            }
        }

        return true;
    }

    private function sameRemaps(mixed $then): bool
    {
        foreach ($this->rig->boxes->modules() as $module) {
            $was = $then instanceof \stdClass ? ($then->{$module->id} ?? $module->remapOn) : $module->remapOn;
            if ($was !== $this->rig->remapIsOn($module->id, $module->remapOn)) {
                return false;
            }
        }

        return true;
    }

    /** The same all the way down, whatever the order of keys; 988 and 988.0 are the same value. */
    private static function isAlike(mixed $a, mixed $b): bool
    {
        if ($a instanceof \stdClass && $b instanceof \stdClass) {
            return self::isAlike(get_object_vars($a), get_object_vars($b));
        }
        if (! is_array($a) || ! is_array($b)) {
            return (is_int($a) || is_float($a)) && (is_int($b) || is_float($b)) ? (float) $a === (float) $b : $a === $b;
        }
        foreach ($a as $key => $value) {
            if (! array_key_exists($key, $b) || ! self::isAlike($value, $b[$key])) {
                return false;
            }
        }

        return count($a) === count($b);
    }

    private static function plainFailsafe(mixed $entry): \stdClass
    {
        $values = $entry instanceof \stdClass ? get_object_vars($entry) : [];

        return (object) ['mode' => $values['mode'] ?? null, 'stored_us' => $values['stored_us'] ?? null, 'set_by' => $values['set_by'] ?? null];
    }

    private function changedAt(Dependency $setting): ?string
    {
        $at = null;
        foreach ($this->rig->log()->entries as $entry) {
            foreach (EntryChange::read($entry)?->places() ?? [] as $place) {
                foreach ($setting->places() as $wanted) {
                    $at = $place === $wanted || str_starts_with($place, "$wanted.") ? (new Node($entry))->textOrNull('at') : $at;
                }
            }
        }

        return $at;
    }

    private static function shown(bool|int|float|string $value): string
    {
        return is_bool($value) ? ($value ? 'on' : 'off') : (string) $value;
    }
}
