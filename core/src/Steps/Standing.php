<?php

declare(strict_types=1);

namespace Linguator\Core\Steps;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;

/** How it stands with a step, in one sentence. */
final readonly class Standing
{
    private function __construct(public StepState $state, public string $note)
    {
    }

    public static function open(string $note): self
    {
        return new self(StepState::Open, $note);
    }

    public static function attention(string $note): self
    {
        return new self(StepState::Attention, $note);
    }

    public static function stop(string $note): self
    {
        return new self(StepState::Stop, $note);
    }

    public static function done(string $note): self
    {
        return new self(StepState::Done, $note);
    }

    /** What must be mended, the worst first; null: nothing must. */
    public static function ofFindings(Findings $findings): ?self
    {
        $worst = $findings->toMend();

        return match ($worst?->severity) {
            null => null,
            Severity::Stop => self::stop($worst->message),
            default => self::attention($worst->message),
        };
    }
}
