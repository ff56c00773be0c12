<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Readiness\CheckKind;
use Linguator\Core\Readiness\ReadinessReview;

/** Checks and sign-offs, each kept with the settings it was made with. */
final readonly class CheckChange
{
    public function __construct(private RigDocument $rig)
    {
    }

    public function made(CheckKind $kind, ?int $hop, bool $passed, ?string $expected, ?string $observed, ?string $by, string $at): RigPatch
    {
        $check = (object) array_filter([
            'check' => $kind->value,
            'hop' => $hop,
            'result' => $passed ? 'pass' : 'fail',
            'expected' => $expected ?? $kind->expected(),
            'observed' => $observed,
            'at' => $at,
            'by' => $by,
            'made_with' => $this->rig->dependent()->record($kind->dependsOn(), $hop ?? 1),
        ], static fn (mixed $value): bool => $value !== null && $value !== '');

        return RigPatch::of([])->adding('checks', [$check]);
    }

    /** @throws DocumentError with every reason, while the rig is not ready. */
    public function signOff(ReadinessReview $readiness, string $by, string $note, string $at): RigPatch
    {
        if (trim($by) === '') {
            throw DocumentError::at('by', 'Nobody is named; expected who signs it off.', 'missing_name');
        }
        $refusals = $readiness->refusals();
        if ($refusals !== []) {
            throw DocumentError::at('', 'It cannot be signed off yet. '.implode(' ', $refusals), 'not_ready');
        }
        $entry = (object) array_filter(['at' => $at, 'by' => trim($by), 'note' => trim($note), 'made_with' => $readiness->signOffSettings()], static fn (mixed $value): bool => $value !== '');

        return RigPatch::of([])->adding('sign_offs', [$entry]);
    }
}
