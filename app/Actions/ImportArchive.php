<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attachment;
use App\Models\Capture;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Rig\RigReader;

/** Takes an archive in, after it has said what it would do. Rigs are never replaced: one that differs stands beside the old one. */
final readonly class ImportArchive
{
    public function __construct(
        private CardReader $cards,
        private RigReader $rigs,
        private SaveCards $saveCards,
        private ImportRig $importRig,
        private KeepAttachment $keep,
        private KeepCapture $keepCapture,
        private SaveFormat $saveFormat,
        private NameThings $nameThings,
    ) {
    }

    /**
     * @return array<string, mixed> What would be added or changed.
     *
     * @throws DocumentError if anything in it is not sound.
     */
    public function preview(string $file, ArchiveBounds $bounds): array
    {
        $archive = BenchArchive::open($file, $bounds, $this->cards, $this->rigs);
        $cards = ['added' => [], 'differ' => [], 'same' => []];
        $shelf = Card::query()->pluck('document', 'id')->all();
        foreach ($archive->cards() as $gear) {
            $cards[! isset($shelf[$gear->id]) ? 'added' : ($shelf[$gear->id] === Card::columns($gear)['document'] ? 'same' : 'differ')][] = $gear->name;
        }
        $rigs = ['added' => [], 'beside' => [], 'same' => []];
        $there = [];
        foreach ($archive->rigs() as $slug => $document) {
            $stands = ArchiveRig::of($document);
            $rigs[$stands->standing][] = $document->name();
            $there[$slug] = $stands->there;
        }

        return [
            'cards' => $cards,
            'rigs' => $rigs,
            'formats' => array_count_values(array_map($this->saveFormat->standing(...), iterator_to_array($archive->formats(), false))) + ['added' => 0, 'differs' => 0, 'same' => 0],
            'names' => $this->nameThings->missing($archive->names()),
            'attachments' => count($this->missing($archive, $there)),
            'captures' => count($this->missingCaptures($archive)),
        ];
    }

    /**
     * All of it or nothing.
     *
     * @param  (\Closure(int $done, int $of): void)|null  $progress
     * @return array<string, mixed> What was added or changed.
     *
     * @throws DocumentError if anything in it is not sound.
     */
    public function import(string $file, bool $replaceCards, ArchiveBounds $bounds, ?\Closure $progress = null): array
    {
        $archive = BenchArchive::open($file, $bounds, $this->cards, $this->rigs);
        $kept = [];
        try {
            return DB::transaction(function () use ($archive, $replaceCards, $progress, &$kept): array {
                [$done, $all] = [0, $archive->size()];
                $tell = static function () use (&$done, $all, $progress): void {
                    $progress === null || $progress(++$done, $all);
                };
                $report = ['cards' => $this->saveCards->import(iterator_to_array($archive->cards(), false), $replaceCards), 'rigs' => [], 'formats' => 0, 'attachments' => 0, 'captures' => 0];
                $made = [];
                foreach ($archive->rigs() as $slug => $document) {
                    $stands = ArchiveRig::of($document);
                    $made[$slug] = $stands->there;
                    if ($stands->there === null) {
                        $made[$slug] = ($this->importRig)($document, $slug);
                        $report['rigs'][] = $document->name();
                    }
                    $tell();
                }
                foreach ($this->missing($archive, $made) as [$rig, $attachment]) {
                    assert($rig !== null);
                    $keep = $attachment->isCapture ? $this->keep->capture(...) : $this->keep->__invoke(...);
                    $keep($rig, $attachment->position, $attachment->name, $archive->text($attachment->file), $attachment->at);
                    $report['attachments']++;
                    $tell();
                }
                foreach ($this->missingCaptures($archive) as $capture) {
                    $kept[] = ($this->keepCapture)($capture->name, $archive->stream($capture->file), $capture->at);
                    $report['captures']++;
                    $tell();
                }
                $report['formats'] = $this->formats($archive, $replaceCards);

                return $report + $this->nameThings->import($archive->names());
            });
        } catch (\Throwable $error) {
            // Their rows are gone with the transaction.
            array_map(static fn (Capture $capture): bool => File::delete($capture->path()), $kept);
            throw $error;
        }
    }

    private function formats(BenchArchive $archive, bool $replace): int
    {
        $saved = 0;
        foreach ($archive->formats() as $text) {
            $standing = $this->saveFormat->standing($text);
            if ($standing === 'added' || ($standing === 'differs' && $replace)) {
                ($this->saveFormat)($text, true);
                $saved++;
            }
        }

        return $saved;
    }

    /**
     * Attachments that their rig has not: as many of the same name and content on the same entry as the archive has, less those that are there.
     *
     * @param  array<string, Rig|null>  $rigs  By their address in the archive; null: not on the bench yet.
     * @return list<array{Rig|null, ArchivedFile}>
     */
    private function missing(BenchArchive $archive, array $rigs): array
    {
        $there = [];
        foreach (array_filter($rigs) as $slug => $rig) {
            foreach (Attachment::query()->where('rig_id', $rig->id)->get(Attachment::LISTED)->all() as $file) {
                $key = "$slug/$file->position/$file->name/$file->sha256";
                $there[$key] = ($there[$key] ?? 0) + 1;
            }
        }
        $missing = [];
        foreach ($archive->attachments() as $k => $attachment) {
            if (! array_key_exists($attachment->rig, $rigs)) {
                throw DocumentError::at("attachments.$k.rig", "There is no rig \"$attachment->rig\" in the archive.", 'missing_rig');
            }
            $key = "$attachment->rig/$attachment->position/".KeepAttachment::name($attachment->name).'/'.$archive->sha256($attachment->file);
            if (($there[$key] ?? 0) > 0) {
                $there[$key]--;
            } else {
                $missing[] = [$rigs[$attachment->rig], $attachment];
            }
        }

        return $missing;
    }

    /** @return list<ArchivedFile> */
    private function missingCaptures(BenchArchive $archive): array
    {
        $there = [];
        foreach (Capture::desk() as $capture) {
            $key = "$capture->name/$capture->sha256";
            $there[$key] = ($there[$key] ?? 0) + 1;
        }

        return array_values(array_filter($archive->captures(), static function (ArchivedFile $capture) use (&$there, $archive): bool {
            $key = KeepCapture::name($capture->name).'/'.$archive->sha256($capture->file);
            if (($there[$key] ?? 0) === 0) {
                return true;
            }
            $there[$key]--;

            return false;
        }));
    }
}
