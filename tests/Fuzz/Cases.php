<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\Actions\ExportArchive;
use App\Models\Rig;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Tests\IntentExamples;
use Linguator\Core\Tests\Spoil;

/** What is right, to be spoilt: questions, cards, captures, steps in a rig, and an archive of the bench. */
final class Cases
{
    /** Larger captures would leave no time for many. */
    private const LARGEST = 60_000;

    /** @var list<array{string, \stdClass}> */
    private array $questions = [];

    /** @var list<\stdClass> */
    private array $cards = [];

    /** @var list<\stdClass> */
    private array $formats = [];

    /** @var list<array{string, string}> */
    private array $captures = [];

    private ?string $archive = null;

    public function __construct()
    {
        $root = base_path();
        foreach (glob("$root/tests/fixtures/vectors/*.json") ?: [] as $file) {
            foreach (Json::decode((string) file_get_contents($file))->cases ?? [] as $case) {
                if (($case->in ?? null) instanceof \stdClass) {
                    $this->questions[] = [basename($file, '.json'), $case->in];
                }
            }
        }
        foreach (Rig::query()->get()->all() as $rig) {
            $this->questions[] = ['readiness', (object) ['rig' => $rig->whole()->canonical()]];
        }
        foreach (glob("$root/demo/gear/*.yaml") ?: [] as $file) {
            foreach (Yaml::decodeAll((string) file_get_contents($file)) as $document) {
                $this->cards[] = $document['value'];
            }
        }
        foreach (glob("$root/core/data/formats/*.yaml") ?: [] as $file) {
            $card = Yaml::decodeAll((string) file_get_contents($file))[0]['value'];
            $card->id = "mine-$card->id";
            $this->formats[] = $card;
        }
        foreach ([...glob("$root/tests/fixtures/captures/*") ?: [], ...glob("$root/demo/captures/*") ?: []] as $file) {
            if (! str_ends_with($file, '.json') && ! str_ends_with($file, '.md')) {
                // Cut at a line where there are lines.
                $head = (string) file_get_contents($file, false, null, 0, self::LARGEST);
                $this->captures[] = [basename($file), $head];
            }
        }
    }

    /** @return array{string, \stdClass} */
    public function question(): array
    {
        return $this->questions[mt_rand(0, count($this->questions) - 1)];
    }

    public function card(): \stdClass
    {
        return $this->cards[mt_rand(0, count($this->cards) - 1)];
    }

    public function formatCard(): \stdClass
    {
        return $this->formats[mt_rand(0, count($this->formats) - 1)];
    }

    /** @return array{string, string} Name and content. */
    public function capture(): array
    {
        [$name, $bytes] = $this->captures[mt_rand(0, count($this->captures) - 1)];

        return [$name, mt_rand(0, 3) === 0 ? $bytes : substr($bytes, 0, 4000)];
    }

    public function bytes(): string
    {
        do {
            [$name, $bytes] = $this->captures[mt_rand(0, count($this->captures) - 1)];
        } while (! str_ends_with($name, '.bin') && ! str_ends_with($name, '.hex'));

        return str_ends_with($name, '.hex') ? (string) hex2bin(substr((string) preg_replace('/^[^:\n]*:|[^0-9a-f]/m', '', strtolower($bytes)), 0, 8000)) : substr($bytes, 0, 4000);
    }

    /** @return array{string, string, \stdClass|null} A request for a step of a rig: method, address, and its body without the revision. */
    public function step(Rig $rig): array
    {
        $document = $rig->plain();
        $settings = get_object_vars($document->settings ?? new \stdClass);
        $names = array_keys($settings);
        $name = (string) ($names[mt_rand(0, max(0, count($names) - 1))] ?? 'order');
        $place = ["settings.$name", "settings.$name", 'chain', 'craft.functions', 'checks', 'measurements', 'name', 'settings.done', 'path.channels'][mt_rand(0, 8)];
        $value = match (explode('.', $place)[0]) {
            'settings' => $settings[$name] ?? null, default => $document->{explode('.', $place)[0]} ?? null,
        };
        $steps = [
            ['PATCH', "rigs/$rig->slug", (object) ['set' => (object) [$place => Spoil::value($value)], 'clear' => mt_rand(0, 4) === 0 ? ['settings.memory'] : [], 'text' => 'Changed']],
            ['POST', "rigs/$rig->slug/intents", self::intent()],
            ['POST', "rigs/$rig->slug/intents", self::intent()],
            ['POST', "rigs/$rig->slug/intents", self::intent()],
            ['POST', "rigs/$rig->slug/travel", (object) ['drafts' => (object) [(string) mt_rand(1, 8) => (object) ['lo' => 1000, 'mid' => Spoil::odd(), 'hi' => 2000]]]],
            ['POST', "rigs/$rig->slug/order-check", (object) ['moved' => (object) ['A' => 'A', 'E' => 'E']]],
            ['POST', "rigs/$rig->slug/plan", null],
            ['POST', "rigs/$rig->slug/duplicate", (object) ['name' => 'Another']],
        ];

        return $steps[mt_rand(0, count($steps) - 1)];
    }

    /** @return string A file: the bench's archive with something in it spoilt, or its bytes. */
    public function archive(bool $asBytes): string
    {
        if ($this->archive === null) {
            $this->archive = (string) tempnam(sys_get_temp_dir(), 'fuzz');
            app(ExportArchive::class)($this->archive);
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        if ($asBytes) {
            file_put_contents($file, Spoil::text((string) file_get_contents($this->archive)));

            return $file;
        }
        copy($this->archive, $file);
        $zip = new \ZipArchive;
        $zip->open($file);
        for ($k = mt_rand(1, 3); $k > 0; $k--) {
            $name = (string) $zip->getNameIndex(mt_rand(0, $zip->numFiles - 1));
            $text = (string) $zip->getFromName($name);
            $spoilt = str_ends_with($name, '.json') && mt_rand(0, 2) > 0 ? Json::compact(Spoil::much(json_decode($text))) : Spoil::text($text);
            $zip->addFromString($name, $spoilt);
        }
        if (mt_rand(0, 4) === 0) {
            $zip->addFromString(['rigs/more.json', 'shelf/more.yaml', 'attachments/x-1-1.txt', '../x', 'captures/9-0.bin', 'names.json'][mt_rand(0, 5)], Spoil::text('{"linguator":1}'));
        }
        $zip->close();

        return $file;
    }

    /** Something a person may mean, or nearly. */
    private static function intent(): \stdClass
    {
        [, $intent, $told] = IntentExamples::ALL[mt_rand(0, count(IntentExamples::ALL) - 1)];

        return (object) ['intent' => $intent, 'told' => mt_rand(0, 1) === 0 ? Json::decode((string) json_encode((object) $told)) : Spoil::much(Json::decode((string) json_encode((object) $told)))];
    }
}
