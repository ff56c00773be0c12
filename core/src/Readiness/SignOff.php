<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Proof\Witness;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Leftover;

/** Somebody signs the rig off as ready; kept with everything it was made with. */
final readonly class SignOff implements Intent
{
    public function __construct(private string $by, private string $note = '')
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->text('by')), trim($told->textOrNull('note') ?? ''));
    }

    /** @throws DocumentError with every reason, while the rig is not ready; or if nobody is named. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        Witness::mustBeNamed($this->by, 'who signs it off');
        $readiness = new ReadinessReview(new Reviews($rig));
        $refusals = $readiness->refusals();
        if ($refusals !== []) {
            throw DocumentError::at('', 'It cannot be signed off yet. '.implode(' ', $refusals), 'not_ready');
        }
        $entry = (object) (['at' => $occasion->at, 'by' => $this->by] + ($this->note === '' ? [] : ['note' => $this->note]) + ['made_with' => $readiness->signOffSettings()]);

        return new Deed(RigPatch::of([])->adding('sign_offs', [$entry]), "Signed off by $this->by".self::withLeft($readiness), EntryKind::SignOff);
    }

    private static function withLeft(ReadinessReview $readiness): string
    {
        $left = array_map(static fn (Leftover $leftover): string => rtrim($leftover->sentence, '.'), $readiness->leftovers()->left()->all);

        return $left === [] ? '' : '; left as it is: '.implode('; ', $left);
    }
}
