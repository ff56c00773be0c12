<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Bench\FieldLine;
use Linguator\Core\Bench\FieldReturn;
use Linguator\Core\Bench\Intents;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Rig\RigHistory;

/** Takes in what came back from the field, after it was looked at. */
final readonly class TakeFromField
{
    public function __construct(private Schemas $schemas, private Intents $intents, private ChangeRig $change, private KeepAttachment $keep)
    {
    }

    /**
     * @return array{rig: array{slug: string, name: string, revision: int}, lines: list<\stdClass>, note: string, photos: int}
     *
     * @throws DocumentError if it is none, or of no rig that is here.
     */
    public function preview(string $text): array
    {
        $return = FieldReturn::read($text, $this->schemas);
        $rig = $this->rigOf($return);

        return [
            'rig' => ['slug' => $rig->slug, 'name' => $rig->name, 'revision' => $rig->revision],
            'lines' => $return->preview($rig->whole(), $this->lines($return, $rig)),
            'note' => $return->note(),
            'photos' => count($return->photos()),
        ];
    }

    /**
     * @param  int  $revision  Of the rig, as it stood in the preview.
     *
     * @throws Conflict if the rig has been changed since.
     * @throws DocumentError as `preview`, and if nothing of it is new.
     */
    public function take(string $text, int $revision): Rig
    {
        $return = FieldReturn::read($text, $this->schemas);

        return DB::transaction(function () use ($return, $revision): Rig {
            $rig = $this->rigOf($return);
            $deed = $return->deed($this->lines($return, $rig)) ?? throw DocumentError::at('text', 'All of it is here already.', 'nothing_new');
            $changed = ($this->change)($rig, $revision, $deed->patch, $deed->sentence, $deed->kind);
            foreach ($return->photos() as $photo) {
                ($this->keep)($changed, $changed->lastPosition(), $photo['name'], $photo['content'], Moment::now());
            }

            return $changed->refresh();
        });
    }

    private function rigOf(FieldReturn $return): Rig
    {
        return Rig::query()->where('uid', $return->uid())->first()
            ?? throw DocumentError::at('uid', 'No rig on this bench is the one that this pack was made of.', 'no_such_rig');
    }

    /** @return list<FieldLine> */
    private function lines(FieldReturn $return, Rig $rig): array
    {
        $log = $rig->log();

        return $return->lines($rig->whole(), (new RigHistory($rig->plain(), $log))->at($return->position()), $this->intents, Moment::now());
    }
}
