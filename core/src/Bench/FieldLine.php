<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\RigDocument;

/** One check that came back from the field. */
final readonly class FieldLine
{
    private function __construct(public Deed $deed, private Node $check, public bool $isHere)
    {
    }

    /** @param  Deed  $deed  That adds one check. */
    public static function of(RigDocument $now, Deed $deed): self
    {
        $checks = $deed->patch->apply(new \stdClass)->document->checks ?? [];
        $check = is_array($checks) && ($checks[0] ?? null) instanceof \stdClass ? $checks[0] : new \stdClass;
        $isHere = array_filter($now->node()->nodes('checks'), static fn (Node $one): bool => self::key($one) === self::key(new Node($check))) !== [];

        return new self($deed, new Node($check), $isHere);
    }

    /** @param  \stdClass  $review  Of the rig once it is written. */
    public function shown(\stdClass $review): \stdClass
    {
        $state = 'open';
        $reasons = [];
        $checks = ((array) ($review->readiness ?? []))['checks'] ?? [];
        foreach (is_array($checks) ? $checks : [] as $one) {
            $one = new Node((object) $one);
            if ($one->text('check') === $this->check->text('check') && ($one->intOrNull('hop') ?? 1) === ($this->check->intOrNull('hop') ?? 1)) {
                [$state, $reasons] = [$one->text('state'), $one->texts('reasons')];
            }
        }

        return (object) ['says' => $this->deed->sentence, 'at' => $this->check->text('at'), 'by' => $this->check->textOrNull('by'), 'is_here' => $this->isHere, 'state' => $state, 'reasons' => $reasons];
    }

    private static function key(Node $check): string
    {
        return implode('|', [$check->textOrNull('check') ?? '', $check->intOrNull('hop') ?? 1, $check->textOrNull('cut') ?? '', $check->textOrNull('at') ?? '', $check->textOrNull('observed') ?? '']);
    }
}
