<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Alias;
use App\Models\Attachment;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\Json;

/** Takes an archive in, after it has said what it would do. Rigs are never replaced: one that differs stands beside the old one. */
final readonly class ImportArchive
{
    public function __construct(private ReadArchive $read, private SaveCards $saveCards, private ImportRig $importRig, private KeepAttachment $keep, private SaveFormat $saveFormat)
    {
    }

    /** @return array<string, mixed> What would be added or changed. */
    public function preview(string $file): array
    {
        $archive = ($this->read)($file);
        $cards = ['added' => [], 'differ' => [], 'same' => []];
        foreach ($archive['cards'] as $gear) {
            $there = Card::query()->find($gear->id);
            $cards[$there === null ? 'added' : ($there->document === Card::columns($gear)['document'] ? 'same' : 'differ')][] = $gear->name;
        }
        $rigs = ['added' => [], 'beside' => [], 'same' => []];
        $there = [];
        foreach ($archive['rigs'] as $slug => $document) {
            $standing = $this->standing($slug, Json::compact($document->canonical()));
            $rigs[$standing][] = $document->name();
            if ($standing === 'same') {
                $there[$slug] = Rig::query()->where('slug', $slug)->firstOrFail();
            }
        }
        $missing = array_filter($archive['attachments'], static fn (array $attachment): bool => ! isset($there[$attachment['rig']]) || ! self::isThere($there[$attachment['rig']], $attachment));

        return ['cards' => $cards, 'rigs' => $rigs, 'formats' => array_count_values(array_map($this->saveFormat->standing(...), $archive['formats'])) + ['added' => 0, 'differs' => 0, 'same' => 0], 'names' => count($archive['names']), 'attachments' => count($missing)];
    }

    /** @return array<string, mixed> What was added or changed. */
    public function import(string $file, bool $replaceCards): array
    {
        $archive = ($this->read)($file);

        return DB::transaction(function () use ($archive, $replaceCards): array {
            $report = ['cards' => $this->saveCards->import($archive['cards'], $replaceCards), 'rigs' => [], 'formats' => 0, 'attachments' => 0];
            $made = [];
            foreach ($archive['rigs'] as $slug => $document) {
                if ($this->standing($slug, Json::compact($document->canonical())) === 'same') {
                    $made[$slug] = Rig::query()->where('slug', $slug)->firstOrFail();
                } else {
                    $made[$slug] = ($this->importRig)($document);
                    $report['rigs'][] = $document->name();
                }
            }
            foreach ($archive['attachments'] as $attachment) {
                if (isset($made[$attachment['rig']]) && ! self::isThere($made[$attachment['rig']], $attachment)) {
                    $keep = $attachment['is_capture'] ? $this->keep->capture(...) : $this->keep->__invoke(...);
                    $keep($made[$attachment['rig']], $attachment['position'], $attachment['name'], $attachment['content'], $attachment['at']);
                    $report['attachments']++;
                }
            }
            $this->names($archive['names']);
            foreach ($archive['formats'] as $text) {
                $standing = $this->saveFormat->standing($text);
                if ($standing === 'added' || ($standing === 'differs' && $replaceCards)) {
                    ($this->saveFormat)($text, true);
                    $report['formats']++;
                }
            }

            return $report;
        });
    }

    /** @param  array{position: int, content: string, ...}  $attachment */
    private static function isThere(Rig $rig, array $attachment): bool
    {
        return Attachment::query()->where(['rig_id' => $rig->id, 'position' => $attachment['position'], 'sha256' => hash('sha256', $attachment['content'])])->exists();
    }

    /** @return 'added'|'beside'|'same' */
    private function standing(string $slug, string $document): string
    {
        $there = Rig::query()->where('slug', $slug)->first();

        return $there === null ? 'added' : (Json::compact($there->whole()->canonical()) === $document ? 'same' : 'beside');
    }

    /** @param  list<\stdClass>  $names */
    private function names(array $names): void
    {
        foreach ($names as $name) {
            if (is_string($name->kind ?? null) && is_string($name->target ?? null) && is_string($name->alias ?? null) && in_array($name->kind, ['format', 'family', 'variant'], true)) {
                Alias::query()->firstOrCreate(['kind' => $name->kind, 'target' => mb_substr($name->target, 0, 70), 'alias' => mb_substr($name->alias, 0, 200)]);
            }
        }
    }
}
