<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Alias;
use App\Models\Attachment;
use App\Models\Card;
use App\Models\Format;
use App\Models\Rig;
use App\Models\RigEntry;
use Linguator\Core\Document\Csv;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;

/** Everything on the bench as one archive of open documents. */
final readonly class ExportArchive
{
    private const README = "Everything on a Linguator bench.\n\nshelf/      gear cards, YAML\nformats/    serial formats of yours, YAML\nrigs/       rig documents with their history, JSON\nattachments/  files kept with entries of a rig's history; attachments.json says which\nnames.json  what your manuals call formats, families and variants\nlogbook.csv every entry of every rig, to read; it is made from the rigs and not read back\n";

    private const EXTENSIONS = ['image/png' => 'png', 'image/jpeg' => 'jpg', 'image/webp' => 'webp', 'text/plain' => 'txt', FileType::BYTES => 'bin'];

    /** Writes the archive to a file. */
    public function __invoke(string $file): void
    {
        $zip = new \ZipArchive;
        $zip->open($file, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $zip->addFromString('README.txt', self::README);
        foreach (Card::shelf() as $card) {
            $zip->addFromString("shelf/$card->id.yaml", Yaml::dump($card->gear()->canonical()));
        }
        foreach (Format::listed() as $format) {
            $zip->addFromString("formats/$format->id.yaml", Yaml::dump(Json::decode($format->document)));
        }
        foreach (Rig::bench() as $rig) {
            $zip->addFromString("rigs/$rig->slug.json", $rig->text());
        }
        $zip->addFromString('names.json', Json::pretty(array_map(
            static fn (Alias $alias): array => ['kind' => $alias->kind, 'target' => $alias->target, 'alias' => $alias->alias],
            array_values(Alias::query()->get()->sortBy(['kind', 'target', 'alias'])->all()),
        )));
        $zip->addFromString('logbook.csv', self::logbook());
        $this->attachments($zip);
        $zip->close();
    }

    private function attachments(\ZipArchive $zip): void
    {
        $listed = [];
        foreach (Attachment::query()->lazyById(20) as $attachment) {
            $slug = Rig::query()->whereKey($attachment->rig_id)->value('slug');
            $path = "attachments/$attachment->id-".substr($attachment->sha256, 0, 8).'.'.self::EXTENSIONS[$attachment->type];
            $zip->addFromString($path, $attachment->content);
            $listed[] = ['file' => $path, 'rig' => $slug, 'position' => $attachment->position, 'name' => $attachment->name, 'at' => $attachment->at];
        }
        $zip->addFromString('attachments.json', Json::pretty($listed));
    }

    private static function logbook(): string
    {
        $text = Csv::line(['at', 'rig', 'kind', 'text']);
        foreach (RigEntry::query()->with('rig:id,name')->lazyById(1000) as $entry) {
            $said = $entry->plain()->text ?? '';
            $text .= Csv::line([$entry->at, $entry->rig->name, $entry->kind, is_string($said) ? $said : '']);
        }

        return $text;
    }
}
