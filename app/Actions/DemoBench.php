<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Capture;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Rig\RigReader;

/** The demo on the bench: taken in as a user's files are, marked, and cleared in one go. What somebody has changed of it is theirs. */
final readonly class DemoBench
{
    /** Captures that lie on the signal desk from the start; the other samples are offered there. */
    private const ON_THE_DESK = ['mudlark-train.csv', 'oystercatcher-link-cut.hex', 'converter-two-wires.vcd'];

    private const TABLE = 'demo_marks';

    public function __construct(
        private CardReader $cards,
        private RigReader $rigs,
        private SaveCards $saveCards,
        private ImportRig $importRig,
        private KeepCapture $keepCapture,
        private TakeOffBench $takeOff,
    ) {
    }

    /** @return array{rigs: list<string>, cards: int, captures: int} Addresses of its rigs, and how much else of it is here. */
    public function here(): array
    {
        $refs = fn (string $kind): array => DB::table(self::TABLE)->where('kind', $kind)->orderBy('ref')->pluck('ref')->map(strval(...))->all();
        $rigs = Rig::query()->whereIn('slug', $refs('rig'))->pluck('slug')->map(strval(...))->all();

        return [
            'rigs' => array_values($rigs),
            'cards' => Card::query()->whereIn('id', $refs('card'))->count(),
            'captures' => Capture::query()->whereIn('id', $refs('capture'))->whereNull('gone_at')->count(),
        ];
    }

    /** @return list<string> What came of each file, in a few words. What of it is here already stays as it is. */
    public function load(): array
    {
        return DB::transaction(function (): array {
            $lines = [];
            foreach ($this->files('gear/*.yaml') as $file) {
                $report = $this->saveCards->import($this->cards->fromText((string) file_get_contents($file)), false);
                foreach ($report['added'] as $id) {
                    $this->mark('card', $id, 1);
                }
                $lines[] = basename($file).': '.implode(', ', array_map(static fn (string $what, array $ids): string => count($ids)." $what", array_keys($report), $report));
            }
            $there = $this->here()['rigs'];
            foreach ($this->files('rigs/*.yaml') as $file) {
                if (! in_array(basename($file, '.yaml'), $there, true)) {
                    $rig = ($this->importRig)($this->rigs->fromText((string) file_get_contents($file)), basename($file, '.yaml'));
                    $this->mark('rig', $rig->slug, $rig->revision);
                    $lines[] = basename($file).": rig $rig->slug";
                }
            }

            return [...$lines, ...$this->captures()];
        });
    }

    /** @return array{gone: array{rigs: int, cards: int, captures: int}, stays: list<string>} What was changed since stays, by its name. */
    public function clear(): array
    {
        return DB::transaction(function (): array {
            [$gone, $stays] = [['rigs' => 0, 'cards' => 0, 'captures' => 0], []];
            $marks = DB::table(self::TABLE)->get()->groupBy('kind');
            foreach ($marks['rig'] ?? [] as $mark) {
                $rig = Rig::query()->where('slug', $mark->ref)->first();
                if ($rig !== null && $rig->revision === (int) $mark->revision) {
                    ($this->takeOff)($rig);
                    $gone['rigs']++;
                } elseif ($rig !== null) {
                    $stays[] = $rig->name;
                }
            }
            $gone['captures'] = Capture::query()->whereIn('id', ($marks['capture'] ?? collect())->pluck('ref'))->whereNull('gone_at')->update(['gone_at' => Moment::now()]);
            $used = $this->cardsInUse();
            foreach ($marks['card'] ?? [] as $mark) {
                $card = Card::query()->whereKey($mark->ref)->first();
                if ($card !== null && $card->revision === (int) $mark->revision && ! isset($used[$card->id])) {
                    $card->delete();
                    $gone['cards']++;
                } elseif ($card !== null) {
                    $stays[] = $card->name;
                }
            }
            DB::table(self::TABLE)->delete();

            return ['gone' => $gone, 'stays' => $stays];
        });
    }

    /** @return array<string, true> Ids of cards of which a rig of the bench holds a copy. */
    private function cardsInUse(): array
    {
        $ids = [];
        foreach (Rig::bench() as $rig) {
            $ids += array_fill_keys($rig->rig()->boxes->ids(), true);
        }

        return $ids;
    }

    /** @return list<string> */
    private function captures(): array
    {
        $lines = [];
        if ($this->here()['captures'] === 0) {
            foreach (self::ON_THE_DESK as $name) {
                $stream = fopen(config()->string('linguator.demo')."/captures/$name", 'rb');
                if ($stream !== false) {
                    $capture = ($this->keepCapture)($name, $stream);
                    $this->mark('capture', (string) $capture->id, 1);
                    $lines[] = "$name: capture $capture->id";
                }
            }
        }

        return $lines;
    }

    private function mark(string $kind, string $ref, int $revision): void
    {
        DB::table(self::TABLE)->updateOrInsert(['kind' => $kind, 'ref' => $ref], ['revision' => $revision]);
    }

    /** @return list<string> */
    private function files(string $pattern): array
    {
        return glob(config()->string('linguator.demo')."/$pattern") ?: [];
    }
}
