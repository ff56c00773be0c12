<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Alias;
use App\Models\Attachment;
use App\Models\Capture;
use App\Models\Card;
use App\Models\Format;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Linguator\Core\Document\Csv;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;

/** Everything on the bench as one archive of open documents. The same bench gives the same bytes, on whatever machine and day. */
final readonly class ExportArchive
{
    private const README = "Everything on a Linguator bench.\n\nshelf/      gear cards, YAML\nformats/    serial formats of yours, YAML\nrigs/       rig documents with their history, JSON\nattachments/  files kept with entries of a rig's history; attachments.json says which\ncaptures/   what lies on the signal desk; captures.json says what it is called\nnames.json  what your manuals call formats, families and variants\nlogbook.csv every entry of every rig, to read; it is made from the rigs and not read back\n";

    private const EXTENSIONS = ['image/png' => 'png', 'image/jpeg' => 'jpg', 'image/webp' => 'webp', 'text/plain' => 'txt', FileType::BYTES => 'bin'];

    /** The oldest moment a zip can tell. */
    private const MOMENT = 315_532_800;

    private const MODE = 0100644 << 16;

    /**
     * Writes the archive to a file.
     *
     * @param  (\Closure(int $done, int $of): void)|null  $progress
     *
     * @throws \RuntimeException if it cannot be written.
     */
    public function __invoke(string $file, ?\Closure $progress = null): void
    {
        // A zip holds what is put into it until it is closed: files wait in a folder, so that pictures do not wait in memory.
        $waiting = sys_get_temp_dir().'/linguator-archive-'.bin2hex(random_bytes(8));
        if (! @mkdir($waiting, 0700)) {
            throw new \RuntimeException('No space left on device, or no right to write: the archive cannot be made in '.sys_get_temp_dir().'.');
        }
        try {
            $this->write($file, $waiting, $progress ?? static fn (int $done, int $of): null => null);
        } finally {
            File::deleteDirectory($waiting);
        }
    }

    /** @param  \Closure(int $done, int $of): void  $progress */
    private function write(string $file, string $waiting, \Closure $progress): void
    {
        $zip = new \ZipArchive;
        if ($zip->open($file, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException("The file $file cannot be written.");
        }
        // What is there is read as of one moment, whoever writes meanwhile.
        DB::transaction(function () use ($zip, $waiting, $progress): void {
            $this->put($zip, 'README.txt', self::README);
            foreach (Card::query()->get()->sortBy('id')->all() as $card) {
                $this->put($zip, "shelf/$card->id.yaml", Yaml::dump($card->gear()->canonical()));
            }
            foreach (Format::listed() as $format) {
                $this->put($zip, "formats/$format->id.yaml", Yaml::dump(Json::decode($format->document)));
            }
            $all = Rig::query()->count() + Attachment::query()->count();
            foreach (Rig::query()->get(['id', 'slug'])->sortBy('slug')->values()->all() as $k => $rig) {
                $this->put($zip, "rigs/$rig->slug.json", Rig::query()->findOrFail($rig->id)->text());
                $progress($k + 1, $all);
            }
            $this->put($zip, 'names.json', Json::pretty(array_map(
                static fn (Alias $alias): array => ['kind' => $alias->kind, 'target' => $alias->target, 'alias' => $alias->alias],
                array_values(Alias::query()->get()->sortBy(['kind', 'target', 'alias'])->all()),
            )));
            $this->put($zip, 'logbook.csv', self::logbook());
            $this->attachments($zip, $waiting, static fn (int $done) => $progress(Rig::query()->count() + $done, $all));
            $this->captures($zip);
        });
        if (! @$zip->close()) {
            throw new \RuntimeException('No space left on device, or no right to write: the archive cannot be written.');
        }
    }

    /** @param  \Closure(int): mixed  $progress */
    private function attachments(\ZipArchive $zip, string $waiting, \Closure $progress): void
    {
        $slugs = Rig::query()->pluck('slug', 'id')->all();
        $listed = [];
        foreach (Attachment::query()->get(['id', 'rig_id', 'position'])->sortBy([static fn (Attachment $a, Attachment $b): int => [$slugs[$a->rig_id], $a->position, $a->id] <=> [$slugs[$b->rig_id], $b->position, $b->id]])->values()->all() as $k => $key) {
            $attachment = Attachment::query()->findOrFail($key->id);
            $slug = $slugs[$attachment->rig_id];
            $path = "attachments/$slug-$attachment->position-".$this->numberIn($listed, $slug, $attachment->position).'.'.self::EXTENSIONS[$attachment->type];
            if (file_put_contents("$waiting/$attachment->id", $attachment->content) !== $attachment->size) {
                throw new \RuntimeException('No space left on device: the archive cannot be made.');
            }
            $this->putFile($zip, $path, "$waiting/$attachment->id", str_starts_with($attachment->type, 'image/'));
            $listed[] = ['file' => $path, 'rig' => $slug, 'position' => $attachment->position, 'name' => $attachment->name, 'at' => $attachment->at];
            $progress($k + 1);
        }
        $this->put($zip, 'attachments.json', Json::pretty($listed));
    }

    /**
     * @param  list<array{file: string, rig: string, position: int, name: string, at: string}>  $listed  In order.
     * @return positive-int Which of its entry's files comes next.
     */
    private function numberIn(array $listed, string $slug, int $position): int
    {
        $number = 1;
        for ($k = count($listed) - 1; $k >= 0 && $listed[$k]['rig'] === $slug && $listed[$k]['position'] === $position; $k--) {
            $number++;
        }

        return $number;
    }

    private function captures(\ZipArchive $zip): void
    {
        $listed = [];
        foreach (array_reverse(Capture::desk()) as $k => $capture) {
            if (is_file($capture->path())) {
                $path = sprintf('captures/%d-%s.bin', $k + 1, substr($capture->sha256, 0, 8));
                $this->putFile($zip, $path, $capture->path(), false);
                $listed[] = ['file' => $path, 'name' => $capture->name, 'at' => $capture->at];
            }
        }
        $this->put($zip, 'captures.json', Json::pretty($listed));
    }

    private function put(\ZipArchive $zip, string $name, string $content): void
    {
        $zip->addFromString($name, $content);
        $this->plain($zip, $name);
    }

    private function putFile(\ZipArchive $zip, string $name, string $file, bool $isPacked): void
    {
        $zip->addFile($file, $name);
        if ($isPacked) {
            $zip->setCompressionName($name, \ZipArchive::CM_STORE);
        }
        $this->plain($zip, $name);
    }

    /** Nothing of the machine or the day gets in. */
    private function plain(\ZipArchive $zip, string $name): void
    {
        $zip->setMtimeName($name, self::MOMENT);
        $zip->setExternalAttributesName($name, \ZipArchive::OPSYS_UNIX, self::MODE);
    }

    /** Oldest first; what happened in the same second by rig and entry. */
    private static function logbook(): string
    {
        $text = Csv::line(['at', 'rig', 'kind', 'text']);
        $rows = DB::table('rig_entries')->join('rigs', 'rigs.id', '=', 'rig_entries.rig_id')
            ->selectRaw("at, rigs.name as rig, kind, json_extract(entry, '$.text') as said")
            ->orderBy('at')->orderBy('rigs.slug')->orderBy('position');
        foreach ($rows->cursor() as $row) {
            assert(is_string($row->at) && is_string($row->rig) && is_string($row->kind));
            $text .= Csv::line([$row->at, $row->rig, $row->kind, is_string($row->said) ? $row->said : '']);
        }

        return $text;
    }
}
