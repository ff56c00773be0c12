<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** How many frames carried each flag, and from when to when. */
final class FlagTally
{
    private const STRETCHES = 200;

    private int $last = 0;

    private int $frames = 0;

    /** @var array<string, int> */
    private array $counts;

    /** @var array<int, FlagStretch> In turn. */
    private array $stretches = [];

    /** @var array<string, int> Position in `stretches` of the one under way. */
    private array $open = [];

    /** @param  array<string, int>  $bits  Bit of each flag. */
    public function __construct(private readonly array $bits)
    {
        $this->counts = array_map(static fn (): int => 0, $bits);
    }

    public function add(int $byte, ?float $us): void
    {
        if ($byte !== 0 || $this->last !== 0) {
            foreach ($this->bits as $flag => $bit) {
                if (($byte >> $bit & 1) === 1) {
                    $this->carry($flag, $us);
                } else {
                    unset($this->open[$flag]);
                }
            }
        }
        $this->last = $byte;
        $this->frames++;
    }

    /**
     * @param  string  $bytes  One for each frame; empty where the format has no flags.
     * @param  list<float>  $times
     */
    public function addRun(string $bytes, array $times): void
    {
        if ($this->last === 0 && trim($bytes, "\0") === '') {
            $this->frames += strlen($bytes);

            return;
        }
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $this->add(ord($bytes[$k]), $times[$k] ?? null);
        }
    }

    public function count(string $flag): int
    {
        return $this->counts[$flag] ?? 0;
    }

    /** @return list<FlagStretch> The first ones. */
    public function stretches(): array
    {
        return array_values($this->stretches);
    }

    /** The first stretch of a flag. */
    public function first(string $flag): ?FlagStretch
    {
        foreach ($this->stretches as $stretch) {
            if ($stretch->flag === $flag) {
                return $stretch;
            }
        }

        return null;
    }

    private function carry(string $flag, ?float $us): void
    {
        $this->counts[$flag]++;
        if (! isset($this->open[$flag])) {
            if (count($this->stretches) >= self::STRETCHES) {
                return;
            }
            $this->open[$flag] = count($this->stretches);
            $this->stretches[] = FlagStretch::begin($flag, $this->frames, $us);

            return;
        }
        $at = $this->open[$flag];
        $this->stretches[$at] = $this->stretches[$at]->withNext($us);
    }
}
