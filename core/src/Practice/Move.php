<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;

/** One thing that whoever plays does: a test, the dry bench opened, a setting put back, a fault named, or giving up. */
final readonly class Move
{
    /** Opening the dry bench takes so long, once; naming what is not the matter, each time (min). */
    public const LOOK_MINUTES = 3.0;

    public const WRONG_MINUTES = 5.0;

    private function __construct(public ?string $test, public ?string $name, public bool $isLook = false, public bool $isGivingUp = false, public ?string $change = null)
    {
    }

    /** @throws DocumentError below the path given. */
    public static function fromNode(Node $told, string $path): self
    {
        [$test, $name, $change] = [$told->textOrNull('test'), $told->textOrNull('name'), $told->textOrNull('change')];
        if ($test !== null && ! isset(Knowledge::shipped()->tests[$test])) {
            throw DocumentError::at("$path.test", 'There is no test '.Excerpt::of($test).'.', 'no_such_test');
        }
        if ($name !== null && Knowledge::shipped()->remedy($name) === null) {
            throw DocumentError::at("$path.name", 'There is no cause '.Excerpt::of($name).'.', 'no_such_cause');
        }
        if ($change !== null && ! isset(Setting::all()[$change])) {
            throw DocumentError::at("$path.change", 'There is no setting '.Excerpt::of($change).'.', 'no_such_setting');
        }
        if (count(array_filter([$test !== null, $name !== null, $change !== null, $told->flag('look'), $told->flag('give_up')])) !== 1) {
            throw DocumentError::at($path, 'Found '.count(get_object_vars($told->value)).' things in one move; expected one of test, name, change, look, give_up.', 'not_one');
        }

        return new self($test, $name, $told->flag('look'), $told->flag('give_up'), $change);
    }

    public static function test(string $test): self
    {
        return new self($test, null);
    }

    public static function name(string $cause): self
    {
        return new self(null, $cause);
    }
}
