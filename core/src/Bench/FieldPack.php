<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\RigDocument;

/** What goes to the field of a rig: its sheet, and what is to be seen there, with how and what must be seen. */
final readonly class FieldPack
{
    /**
     * @param  string  $uid  Of the rig, by which what comes back is known.
     * @param  int  $position  Of the last entry of its history.
     * @param  \stdClass  $document  The rig's document as it is, whole.
     */
    public function __construct(private RigDocument $rig, private string $uid, private int $position, private \stdClass $document, private string $madeAt)
    {
    }

    /** Of a rig's document, to know later that it is the same: what is only remembered does not count. */
    public static function state(\stdClass $document): string
    {
        $plain = clone $document;
        unset($plain->log, $plain->uid);

        return hash('xxh128', Json::compact(KeyOrder::canonical($plain)));
    }

    public function content(): \stdClass
    {
        $review = new Node((object) Plain::object((new RigReview($this->rig))->shown()));
        $readiness = self::node($review->get('readiness'));

        return (object) [
            'linguator_field' => 1,
            'uid' => $this->uid,
            'position' => $this->position,
            'state' => self::state($this->document),
            'made_at' => $this->madeAt,
            'name' => $this->rig->name(),
            'next' => $review->get('next'),
            'sheet' => $review->get('sheet'),
            'checks' => $this->checks($readiness),
            'tests' => $this->tests(self::node($review->get('failsafe'))),
            'range' => self::node(self::node($review->get('wiring'))->get('range'))->text('text'),
            'windows' => $this->windows($review),
        ];
    }

    /** @return list<\stdClass> Checks that are made by looking, not in a step of their own. */
    private function checks(Node $readiness): array
    {
        $checks = array_filter(self::nodes($readiness->get('checks')), static fn (Node $check): bool => $check->flag('required') && $check->textOrNull('step') === null);

        return array_values(array_map(static fn (Node $check): \stdClass => (object) [
            'intent' => 'make-check',
            'told' => (object) ['check' => $check->text('check')],
            'title' => $check->text('title'),
            'state' => $check->text('state'),
            'expected' => $check->text('expected'),
        ], $checks));
    }

    /** @return list<\stdClass> */
    private function tests(Node $failsafe): array
    {
        $tests = [];
        $hops = self::nodes($failsafe->get('hops'));
        foreach ($hops as $hop) {
            foreach (self::nodes($hop->get('tests')) as $test) {
                $tests[] = (object) [
                    'intent' => 'test-failsafe',
                    'told' => (object) ['hop' => $hop->int('hop'), 'cut' => $test->text('cut')],
                    'title' => 'Failsafe of '.$hop->text('receiver').(count($hops) > 1 ? ', hop '.$hop->int('hop') : '').($test->text('cut') === 'lead' ? ', its lead pulled' : ''),
                    'state' => $test->flag('holds') ? 'holds' : 'open',
                    'do' => $test->text('do'),
                    'safety' => $test->text('safety'),
                    'expected' => $test->text('see'),
                    'may_pass' => $test->flag('may_pass'),
                    'mend_first' => $test->textOrNull('mend_first'),
                    'choices' => $test->get('choices'),
                ];
            }
        }

        return $tests;
    }

    /** @return list<\stdClass> Times that a stopwatch is good for: what a recipe says must be done within them. */
    private function windows(Node $review): array
    {
        $windows = [];
        foreach (self::nodes($review->get('bind')) as $bind) {
            foreach (self::nodes($bind->get('recipe')) as $step) {
                $seconds = $step->numberOrNull('seconds');
                if ($seconds !== null) {
                    $windows[] = (object) ['seconds' => $seconds, 'says' => $step->text('text')];
                }
            }
        }

        return $windows;
    }

    private static function node(mixed $value): Node
    {
        return new Node((object) (is_array($value) || $value instanceof \stdClass ? $value : []));
    }

    /** @return list<Node> */
    private static function nodes(mixed $value): array
    {
        return is_array($value) ? array_map(self::node(...), array_values($value)) : [];
    }
}
