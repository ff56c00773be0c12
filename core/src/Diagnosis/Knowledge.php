<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** What is known of faults: causes and tests as practitioners write them down (core/data/diagnosis), checked while they are read. */
final class Knowledge
{
    /** Nothing that was looked for fits. */
    public const SOMETHING_ELSE = 'something_else';

    public const SOMETHING_ELSE_WEIGHT = 3.0;

    /** Of a certain outcome; what is left is shared by the others (rule D). */
    private const CERTAIN = 0.97;

    private static ?self $shipped = null;

    /**
     * @param  array<string, FaultTest>  $tests  By id.
     * @param  array<string, Cause>  $causes  By id.
     */
    private function __construct(public readonly array $tests, public readonly array $causes)
    {
    }

    public static function shipped(): self
    {
        return self::$shipped ??= self::of(self::file('tests'), self::file('causes'), new Node(self::groups()));
    }

    /**
     * @param  list<Node>  $tests
     * @param  list<Node>  $causes
     * @param  Node  $groups  What causes have in common, by name.
     *
     * @throws DocumentError naming the entry that cannot be meant.
     */
    public static function of(array $tests, array $causes, Node $groups = new Node(new \stdClass)): self
    {
        $read = [];
        foreach ($tests as $entry) {
            $read[$entry->text('id')] = self::test($entry);
        }
        $known = [];
        foreach ($causes as $entry) {
            $known[$entry->text('id')] = self::cause($entry, $read, $groups);
        }

        return new self($read, $known);
    }

    /** What is said of a cause, and of `something_else`, which no test looks for; null: there is no such cause. */
    public function remedy(string $cause): ?Remedy
    {
        $known = $this->causes[$cause] ?? null;

        return match (true) {
            $known !== null => new Remedy($known->id, $known->says, $known->fix, $known->prove, $known->step),
            $cause === self::SOMETHING_ELSE => new Remedy($cause, 'Something else.', 'Take the chain apart and put it together again box by box, looking after each.', 'values_moving', null),
            default => null,
        };
    }

    /** The share of an outcome when nothing is wrong with what this test looks at. */
    public static function soundShare(FaultTest $test, string $outcome): float
    {
        return $outcome === $test->sound ? self::CERTAIN : (1.0 - self::CERTAIN) / (count($test->outcomes) - 1);
    }

    private static function test(Node $entry): FaultTest
    {
        $outcomes = [];
        foreach (get_object_vars($entry->node('outcomes')->value ?? new \stdClass) as $outcome => $words) {
            $outcomes[(string) $outcome] = is_string($words) ? $words : '';
        }
        $test = new FaultTest($entry->text('id'), $entry->text('asks'), $entry->text('how'), $entry->number('minutes'), $entry->textOrNull('risk'), $entry->text('sound'), $outcomes, $entry->textOrNull('needs'));
        if (! $test->may($test->sound) || count($outcomes) < 2) {
            throw DocumentError::at($test->id, "The sound outcome of $test->id is none of its outcomes.", 'no_such_outcome');
        }

        return $test;
    }

    /** @param  array<string, FaultTest>  $tests */
    private static function cause(Node $entry, array $tests, Node $groups): Cause
    {
        $id = $entry->text('id');
        $like = $entry->textOrNull('like');
        if ($like !== null && ! $groups->has($like)) {
            throw DocumentError::at($id, "$id is like \"$like\", which there is not.", 'no_such_group');
        }
        $shows = get_object_vars($entry->node('shows')->value ?? new \stdClass) + ($like === null ? [] : get_object_vars($groups->node($like)->value ?? new \stdClass));
        foreach ([...array_keys($shows), $entry->text('prove')] as $test) {
            if (! isset($tests[$test])) {
                throw DocumentError::at($id, "$id names the test $test, which there is not.", 'no_such_test');
            }
        }
        $likelihoods = array_map(static fn (FaultTest $test): array => self::shares($id, $test, $shows[$test->id] ?? $test->sound), $tests);

        return new Cause($id, $entry->text('says'), $entry->number('weight'), $entry->text('fix'), $entry->text('prove'), $likelihoods, array_keys($shows), $entry->textOrNull('needs'), $entry->textOrNull('step'));
    }

    /** @return array<string, float> By outcome, summing to 1: what is named takes 0.97 in its proportions, the others share the rest. */
    private static function shares(string $cause, FaultTest $test, mixed $told): array
    {
        $named = is_string($told) ? [$told => 1.0] : ($told instanceof \stdClass ? array_map(static fn (mixed $share): float => is_int($share) || is_float($share) ? (float) $share : 0.0, get_object_vars($told)) : []);
        $sum = array_sum($named);
        foreach ($named as $outcome => $share) {
            if (! $test->may((string) $outcome) || $share <= 0.0) {
                throw DocumentError::at($cause, "$cause shows \"$outcome\" in $test->id, which has no such outcome.", 'no_such_outcome');
            }
        }
        $others = array_diff(array_map(strval(...), array_keys($test->outcomes)), array_map(strval(...), array_keys($named)));
        $certain = $others === [] ? 1.0 : self::CERTAIN;
        $shares = [];
        foreach (array_keys($test->outcomes) as $outcome) {
            $shares[$outcome] = isset($named[$outcome]) ? $certain * $named[$outcome] / $sum : (1.0 - $certain) / count($others);
        }

        return $shares;
    }

    private static function groups(): \stdClass
    {
        $groups = DataFile::read('diagnosis/groups.yaml');
        assert($groups instanceof \stdClass);

        return $groups;
    }

    /** @return list<Node> */
    private static function file(string $name): array
    {
        $list = DataFile::read("diagnosis/$name.yaml");

        return array_map(static fn (mixed $entry): Node => new Node($entry instanceof \stdClass ? $entry : new \stdClass), array_values(is_array($list) ? $list : []));
    }
}
