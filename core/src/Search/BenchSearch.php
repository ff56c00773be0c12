<?php

declare(strict_types=1);

namespace Linguator\Core\Search;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Gear\AirNames;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Plug;
use Linguator\Core\Rig\BoxLine;
use Linguator\Core\Wire\WireFormats;

/** Finds things on the bench by any of the words or numbers that stand on them. Every word typed must be found. */
final class BenchSearch
{
    private const MOST = 30;

    /** Steps of a rig and what is beside them, with other words for them. */
    private const STEPS = [
        'handset' => 'calibration memory', 'path' => 'chain', 'wiring' => 'wires plugs power range', 'bind' => 'binding', 'order' => 'channels', 'travel' => 'ends centre sub-trim thresholds',
        'switches' => 'rates expo levels', 'failsafe' => 'loss', 'check-out' => 'ready sign off', 'timing' => 'delay latency', 'history' => 'log notes', 'dance' => 'read live', 'sheet' => 'print', 'label' => 'qr',
    ];

    /** @var list<string> */
    private readonly array $words;

    /** @var array<string, list<string>> Names the user gave, by kind/target. */
    private array $named = [];

    /** @var list<array{kind: string, id: string, title: string, line: string, rank: int}> */
    private array $hits = [];

    public function __construct(string $text)
    {
        $this->words = array_values(array_filter(preg_split('/\s+/', mb_strtolower(trim($text))) ?: [], static fn (string $word): bool => $word !== ''));
    }

    /** @param  list<string>  $boxes Names of the boxes in its chain. */
    public function rig(string $slug, string $name, string $line, array $boxes): void
    {
        $this->offer('rig', $slug, $name, $line, [$name, ...$boxes]);
        foreach (self::STEPS as $step => $words) {
            // A step is meant where one of the words is its own: with the name alone the rig is.
            if ($this->isNamed("$step $words")) {
                $this->offer('step', "$slug/$step", "$name: ".ucfirst($step), 'step of the rig', [$name, $step, $words], 1);
            }
        }
    }

    /** Pages, tools and things to do. */
    public function places(): void
    {
        foreach (Places::all() as $place) {
            $this->offer('place', $place['path'], $place['title'], $place['line'], [$place['title'], $place['line'], $place['words']], $this->words === [] ? 0 : 1);
        }
    }

    /** What words of the work mean. */
    public function glossary(): void
    {
        foreach (Glossary::words() as $word) {
            $this->offer('word', $word->word, ucfirst($word->word), $word->says, [$word->word, ...$word->also], 3);
        }
    }

    /**
     * Something that was done to a rig.
     *
     * @param  string  $line  On which, and when.
     */
    public function entry(string $slug, int $position, string $text, string $line): void
    {
        $this->offer('entry', "$slug/$position", $text, $line, ['', $text, $line], 4);
    }

    /** @return list<string> What was typed, word by word. */
    public function words(): array
    {
        return $this->words;
    }

    private function isNamed(string $text): bool
    {
        foreach ($this->words as $word) {
            if (preg_match('/(^|\s)'.preg_quote($word, '/').'/i', $text) === 1) {
                return true;
            }
        }

        return false;
    }

    public function card(GearCard $card): void
    {
        $box = $card->box();
        $formats = array_map(static fn ($port): string => $port->format->name, [...$box->ports()->outputs, ...$box->ports()->inputs]);
        $this->offer('card', $card->id, $card->name, BoxLine::of($box), [
            $card->name, ...$card->aliases(), $card->id, $card->kind->label(), ...$formats, ...AirNames::variants($box), ...AirNames::families($box),
        ]);
    }

    /** @param  list<string>  $aliases */
    public function named(string $target, array $aliases): void
    {
        $this->named[$target] = $aliases;
        [$kind, $id] = explode('/', $target, 2);
        $called = 'called '.implode(', ', $aliases);
        match ($kind) {
            'format' => null,
            'plug' => $this->offer($kind, $id, ucfirst(Plug::told($id)), $called, [$id, ...$aliases]),
            default => $this->offer($kind, $id, str_replace('/', ', ', $id), "air protocol, $called", [$id, ...$aliases]),
        };
    }

    public function formats(): void
    {
        foreach (WireFormats::shipped() as $format) {
            $aliases = $this->named["format/$format->id"] ?? [];
            $line = $aliases === [] ? 'wire format '.$format->id : "wire format $format->id, called ".implode(', ', $aliases);
            $this->offer('format', $format->id, $format->name, $line, [$format->name, $format->id, ...$aliases, ...$format->line]);
        }
    }

    /** A serial format that the user has written down. */
    public function ownFormat(FormatCard $card): void
    {
        $aliases = $this->named["format/$card->id"] ?? [];
        $this->offer('own_format', $card->id, $card->name, "your format $card->id, $card->baud baud", [$card->name, $card->id, ...$aliases, (string) $card->baud]);
    }

    public function capture(int $id, string $name): void
    {
        $this->offer('capture', (string) $id, $name, 'capture on the signal desk', [$name]);
    }

    /** @return list<array{kind: string, id: string, title: string, line: string}> Best first. */
    public function hits(): array
    {
        usort($this->hits, static fn (array $a, array $b): int => $a['rank'] <=> $b['rank'] ?: strcasecmp($a['title'], $b['title']));

        return array_map(
            static fn (array $hit): array => ['kind' => $hit['kind'], 'id' => $hit['id'], 'title' => $hit['title'], 'line' => $hit['line']],
            array_slice($this->hits, 0, self::MOST),
        );
    }

    /**
     * @param  list<string>  $texts  The first is the name: found there counts most.
     * @param  int  $behind  How far it stands behind others that fit as well.
     */
    private function offer(string $kind, string $id, string $title, string $line, array $texts, int $behind = 0): void
    {
        $name = mb_strtolower($texts[0] ?? '');
        $all = mb_strtolower(implode("\n", $texts));
        $nameWords = preg_split('/[^\p{L}\p{N}]+/u', $name) ?: [];
        $rank = $behind;
        foreach ($this->words as $word) {
            if (! str_contains($all, $word)) {
                return;
            }
            $rank += match (true) {
                str_starts_with($name, $word) => 0,
                in_array($word, $nameWords, true) => 1,
                str_contains($name, $word) => 2,
                default => 3,
            };
        }
        if ($this->words !== [] || $kind === 'place') {
            $this->hits[] = ['kind' => $kind, 'id' => $id, 'title' => $title, 'line' => $line, 'rank' => $rank];
        }
    }
}
