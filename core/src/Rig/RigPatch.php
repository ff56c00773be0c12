<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;

/**
 * A change to a rig document: new values by place (`settings.order`), places to clear, and items of lists added or taken out.
 * Applying it tells what stood there before, so that it can be taken back.
 */
final readonly class RigPatch
{
    private const PLACES = '/^(name|chain|measurements|attempts|checks|sign_offs|craft(\.[a-z_]+)?|path(\.[a-z_]+)?|settings\.[a-z_]+(\.[a-z0-9_\/-]+)?)$/D';

    /**
     * @param  array<string, mixed>  $set
     * @param  list<string>  $clear
     * @param  array<string, ListChange>  $lists
     */
    private function __construct(public array $set, public array $clear, public array $lists)
    {
    }

    /**
     * @param  array<string, mixed>  $set
     * @param  list<string>  $clear
     *
     * @throws DocumentError if a place cannot be changed.
     */
    public static function of(array $set, array $clear = []): self
    {
        return self::checked($set, $clear, []);
    }

    /**
     * The same change, and items added at the end of a list.
     *
     * @param  list<mixed>  $items
     */
    public function adding(string $place, array $items): self
    {
        return self::checked($this->set, $this->clear, [$place => ListChange::adding($items)] + $this->lists);
    }

    /** This change and one that was made on what it gives, as one. */
    public function and(self $next): self
    {
        $lists = $this->lists;
        foreach ($next->lists as $place => $change) {
            $lists[$place] = isset($lists[$place]) ? $lists[$place]->and($change) : $change;
        }
        $set = $next->set + array_diff_key($this->set, array_flip($next->clear));

        return self::checked($set, array_values(array_diff(array_unique([...$this->clear, ...$next->clear]), array_keys($set))), $lists);
    }

    /**
     * @param  array<string, mixed>  $set
     * @param  list<string>  $clear
     * @param  array<string, ListChange>  $lists
     */
    private static function checked(array $set, array $clear, array $lists): self
    {
        foreach ([...array_map(strval(...), array_keys($set + $lists)), ...$clear] as $place) {
            if (preg_match(self::PLACES, $place) !== 1) {
                throw DocumentError::at('set', 'The place '.Excerpt::of($place).' cannot be changed; expected one like settings.order.', 'no_such_place');
            }
        }

        return new self($set, $clear, $lists);
    }

    /**
     * What an entry of the log changed, turned round.
     *
     * @param  array<string, ListChange>  $lists  Turned round already.
     */
    public static function takingBack(\stdClass $before, \stdClass $after, array $lists = []): self
    {
        $then = [];
        foreach (get_object_vars($before) as $place => $value) {
            $then[(string) $place] = $value;
        }
        $now = get_object_vars($after);

        return self::checked($then, array_values(array_map(strval(...), array_keys(array_diff_key($now, $then)))), $lists);
    }

    /**
     * @param  \stdClass  $document  Left as it is.
     *
     * @throws DocumentError if items are to be taken out of a list that has not so many.
     */
    public function apply(\stdClass $document): PatchDone
    {
        $changed = self::copy($document);
        [$before, $after, $lists] = [new \stdClass, new \stdClass, []];
        foreach ($this->lists as $place => $change) {
            $has = self::has($changed, $place);
            $list = self::items($changed, $place);
            $told = $change->apply($list, $place);
            self::put($changed, $place, $list);
            if ($has) {
                $lists[$place] = $told;
            } else {
                $after->{$place} = $list;
            }
        }
        foreach ($this->set as $place => $value) {
            if (! self::has($changed, $place) || ! self::same(self::get($changed, $place), $value)) {
                if (self::has($changed, $place)) {
                    $before->{$place} = self::get($changed, $place);
                }
                $after->{$place} = $value;
                self::put($changed, $place, $value);
            }
        }
        foreach ($this->clear as $place) {
            if (self::has($changed, $place)) {
                // Set and cleared in one go: what counts is what stood there before both.
                if (property_exists($after, $place)) {
                    unset($after->{$place});
                } else {
                    $before->{$place} = self::get($changed, $place);
                }
                self::drop($changed, $place);
            }
        }

        return new PatchDone($changed, $before, $after, $lists);
    }

    /** Changes the document itself, without saying what stood there: for going through many changes of one copy. */
    public function applyInPlace(\stdClass $document): void
    {
        foreach ($this->lists as $place => $change) {
            $list = self::items($document, $place);
            // Held in one place only, the list is changed where it lies.
            self::put($document, $place, []);
            $change->apply($list, $place);
            self::put($document, $place, $list);
        }
        foreach ($this->set as $place => $value) {
            // A later patch may reach inside this value; the one in the log stays as it is.
            self::put($document, $place, $value instanceof \stdClass ? self::copy($value) : $value);
        }
        foreach ($this->clear as $place) {
            self::drop($document, $place);
        }
    }

    public static function has(\stdClass $document, string $place): bool
    {
        [$parent, $key] = [self::parent($document, $place), self::key($place)];

        return $parent !== null && property_exists($parent, $key);
    }

    public static function get(\stdClass $document, string $place): mixed
    {
        [$parent, $key] = [self::parent($document, $place), self::key($place)];

        return $parent === null ? null : ($parent->{$key} ?? null);
    }

    public static function same(mixed $a, mixed $b): bool
    {
        return $a === $b || Json::compact(KeyOrder::canonical($a)) === Json::compact(KeyOrder::canonical($b));
    }

    /** @return list<mixed> */
    private static function items(\stdClass $document, string $place): array
    {
        $list = self::get($document, $place);

        return is_array($list) ? (array_is_list($list) ? $list : array_values($list)) : [];
    }

    private static function put(\stdClass $document, string $place, mixed $value): void
    {
        $steps = explode('.', $place, 3);
        $key = (string) array_pop($steps);
        $at = $document;
        foreach ($steps as $step) {
            if (! (($at->{$step} ?? null) instanceof \stdClass)) {
                $at->{$step} = new \stdClass;
            }
            $at = $at->{$step};
        }
        $at->{$key} = $value;
    }

    private static function drop(\stdClass $document, string $place): void
    {
        [$parent, $key] = [self::parent($document, $place), self::key($place)];
        if ($parent !== null) {
            unset($parent->{$key});
        }
    }

    /** What a place stands in; null: there is no such thing. */
    private static function parent(\stdClass $document, string $place): ?\stdClass
    {
        $at = $document;
        foreach (array_slice(explode('.', $place, 3), 0, -1) as $step) {
            $at = $at instanceof \stdClass ? ($at->{$step} ?? null) : null;
        }

        return $at instanceof \stdClass ? $at : null;
    }

    /** The last step of a place. */
    private static function key(string $place): string
    {
        $steps = explode('.', $place, 3);

        return $steps[count($steps) - 1];
    }

    /** As deep as places reach, three steps; what lies below is never changed, only replaced. */
    public static function copy(\stdClass $document, int $steps = 3): \stdClass
    {
        $copy = clone $document;
        foreach ($steps > 1 ? get_object_vars($copy) : [] as $key => $value) {
            if ($value instanceof \stdClass) {
                $copy->{$key} = self::copy($value, $steps - 1);
            }
        }

        return $copy;
    }
}
