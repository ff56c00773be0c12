<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Rig\Day;

/** One of the checks of a rig, and how it stands with it. */
final readonly class Check implements \JsonSerializable
{
    /** @param  int|null  $hop  From 1; null: not of a hop. */
    public function __construct(public CheckKind $kind, public ?int $hop, public CheckState $state, public bool $required)
    {
    }

    public function mustBeMade(): bool
    {
        return $this->required && ! $this->state->holds();
    }

    /** Why it must be made. */
    public function because(): string
    {
        return match ($this->state->state) {
            ProofState::Stale => implode(', ', $this->state->reasons),
            ProofState::Failed => $this->state->at === null ? 'it failed' : 'it failed on '.Day::of($this->state->at),
            default => 'not done yet',
        };
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) [
            'check' => $this->kind,
            'hop' => $this->hop,
            'title' => $this->kind->title(),
            'required' => $this->required,
            'expected' => $this->kind->expected(),
            'step' => $this->kind->step(),
            'state' => $this->state->state,
            'at' => $this->state->at,
            'by' => $this->state->by,
            'observed' => $this->state->observed,
            'reasons' => $this->state->reasons,
        ];
    }
}
