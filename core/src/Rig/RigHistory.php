<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;

/** A rig at earlier moments: its document with every later change taken back. */
final readonly class RigHistory
{
    /** What a comparison leaves out: lists that only grow say nothing of what is set differently. */
    private const GROWING = ['measurements', 'attempts', 'checks', 'sign_offs', 'log'];

    /** @param  \stdClass  $document  As it is now, without its log. */
    public function __construct(private \stdClass $document, private RigLog $log)
    {
    }

    /**
     * The document as it was right after an entry; −1: before the first.
     *
     * @throws DocumentError if there is no such entry.
     */
    public function at(int $position): \stdClass
    {
        if ($position < -1 || $position > $this->log->last()) {
            throw DocumentError::at('entry', "There is no entry $position; expected one of the ".($this->log->last() + 1).' in this history.', 'no_such_entry');
        }
        $document = RigPatch::copy($this->document);
        foreach (array_reverse($this->log->entries, true) as $k => $entry) {
            if ($k <= $position) {
                break;
            }
            EntryChange::read($entry)?->back()->applyInPlace($document);
        }

        return $document;
    }

    /**
     * The same history with its lists told by what differs: what older versions wrote grows with the square of its length.
     *
     * @return array<int, \stdClass> By position, every entry of the log.
     */
    public function lean(): array
    {
        $document = RigPatch::copy($this->document);
        $lean = [];
        foreach (array_reverse($this->log->entries, true) as $k => $entry) {
            $change = EntryChange::read($entry);
            $lean[$k] = $change === null ? $entry : (object) (get_object_vars($change->lean($document)->told()) + get_object_vars($entry));
            $change?->back()->applyInPlace($document);
        }

        return array_reverse($lean, true);
    }

    /**
     * What is set differently at two moments, place by place, with what brings the earlier back.
     *
     * @return list<array{place: string, then: mixed, now: mixed, set: \stdClass, clear: list<string>}>
     */
    public static function compare(\stdClass $then, \stdClass $now): array
    {
        $differences = [];
        [$before, $after] = [self::places($then), self::places($now)];
        foreach (array_keys($before + $after) as $place) {
            $place = (string) $place;
            $hasBefore = array_key_exists($place, $before);
            if ($hasBefore !== array_key_exists($place, $after) || ! RigPatch::same($before[$place] ?? null, $after[$place] ?? null)) {
                $differences[] = [
                    'place' => $place,
                    'then' => $before[$place] ?? null,
                    'now' => $after[$place] ?? null,
                    'set' => (object) ($hasBefore ? [$place => $before[$place]] : []),
                    'clear' => $hasBefore ? [] : [$place],
                ];
            }
        }

        return $differences;
    }

    /** @return array<string, mixed> Values by the places a patch can change, settings one by one. */
    private static function places(\stdClass $document): array
    {
        $places = [];
        foreach (get_object_vars($document) as $key => $value) {
            $key = (string) $key;
            if (in_array($key, self::GROWING, true) || $key === 'linguator') {
                continue;
            }
            if (in_array($key, ['settings', 'craft', 'path'], true) && $value instanceof \stdClass) {
                foreach (get_object_vars($value) as $name => $inner) {
                    if ($name === 'done' && $inner instanceof \stdClass) {
                        foreach (get_object_vars($inner) as $what => $tick) {
                            $places["$key.done.$what"] = $tick;
                        }
                    } else {
                        $places["$key.$name"] = $inner;
                    }
                }
            } else {
                $places[$key] = $value;
            }
        }

        return $places;
    }
}
