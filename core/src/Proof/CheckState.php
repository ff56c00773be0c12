<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;

/**
 * Whether the latest check of a kind still holds: a check holds only for the settings it was made with,
 * and the difference is the explanation.
 */
final readonly class CheckState
{
    /**
     * @param  string|null  $at  When it was made.
     * @param  list<string>  $reasons  Why it is stale.
     */
    private function __construct(
        public ProofState $state,
        public ?string $at = null,
        public ?string $by = null,
        public ?string $observed = null,
        public array $reasons = [],
    ) {
    }

    /** The latest check of a kind; of a hop, if one is named. */
    public static function of(RigDocument $rig, CheckKind $kind, ?int $hop = null, Cut $cut = Cut::Link): self
    {
        $last = self::lastOf($rig, $kind, $hop, $cut);
        if ($last === null) {
            return new self(ProofState::Open);
        }
        $reasons = (new MadeWith($rig, $last->node('made_with'), $hop ?? 1))->reasons();
        $state = match (true) {
            $last->text('result') === 'fail' => ProofState::Failed,
            $reasons === [] => ProofState::Holds,
            default => ProofState::Stale,
        };

        return new self($state, $last->textOrNull('at'), $last->textOrNull('by'), $last->textOrNull('observed'), $reasons);
    }

    /** The latest check of a kind as it was recorded; null: there is none. */
    public static function lastOf(RigDocument $rig, CheckKind $kind, ?int $hop = null, Cut $cut = Cut::Link): ?Node
    {
        $last = null;
        foreach ($rig->node()->nodes('checks') as $check) {
            $isIt = $check->text('check') === $kind->value && ($hop === null || ($check->intOrNull('hop') ?? 1) === $hop) && ($check->textOrNull('cut') ?? Cut::Link->value) === $cut->value;
            $last = $isIt ? $check : $last;
        }

        return $last;
    }

    /**
     * A state that is not that of a check: of what was set, or of a sign-off.
     *
     * @param  list<string>  $reasons
     */
    public static function told(ProofState $state, ?string $at, ?string $by = null, ?string $observed = null, array $reasons = []): self
    {
        return new self($state, $at, $by, $observed, $reasons);
    }

    public function holds(): bool
    {
        return $this->state === ProofState::Holds;
    }

    public function isOpen(): bool
    {
        return $this->state === ProofState::Open;
    }
}
