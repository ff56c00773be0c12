<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Probe;

/** What somebody says first when they come with the craft, and the test that it stands for. */
final readonly class Complaint
{
    /** @param  string|null  $test  Null: nothing that could be said of it fits. */
    private function __construct(public string $says, public ?string $test, public ?string $outcome)
    {
    }

    /**
     * The first that fits what is seen now, and not what the rig shows when all is well.
     *
     * @param  Probe  $planned  Of the rig without the fault.
     */
    public static function of(Probe $planned, Probe $real): self
    {
        $known = DataFile::read('diagnosis/complaints.yaml');
        foreach (is_array($known) ? $known : [] as $entry) {
            $node = new Node($entry instanceof \stdClass ? $entry : new \stdClass);
            [$test, $outcome] = [$node->text('test'), $node->text('outcome')];
            if ($real->fits($test) && $real->make($test)->outcome === $outcome && $planned->make($test)->outcome !== $outcome) {
                return new self($node->text('says'), $test, $outcome);
            }
        }

        return new self('Something about it is not right.', null, null);
    }
}
