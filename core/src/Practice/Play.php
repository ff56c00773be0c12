<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\DryBench\Probe;

/** A game as far as it was played: what every move showed, the minutes on the clock, and what was found. */
final class Play
{
    /** @var list<Step> */
    public array $steps = [];

    /** @var list<string> Named rightly, in turn. */
    public array $found = [];

    public float $minutes = 0.0;

    public bool $hasLooked = false;

    public bool $isGivenUp = false;

    /** @var list<Observation> Since the last mend. */
    private array $seen;

    private ?Probe $probe = null;

    /**
     * @param  list<Move>  $moves
     *
     * @throws DocumentError at `moves.k` for one that cannot be made here.
     */
    public function __construct(public readonly Game $game, array $moves)
    {
        $this->seen = $game->complained();
        foreach ($moves as $k => $move) {
            if ($this->isOver()) {
                throw DocumentError::at("moves.$k", 'The game is over; nothing follows.', 'over');
            }
            $this->make($move, "moves.$k");
        }
    }

    public function isOver(): bool
    {
        return $this->isGivenUp || count($this->found) === count($this->game->hidden);
    }

    public function isWon(): bool
    {
        return count($this->found) === count($this->game->hidden);
    }

    private function make(Move $move, string $path): void
    {
        $step = match (true) {
            $move->test !== null => $this->test($move->test, $path),
            $move->name !== null => $this->name($move->name),
            $move->change !== null => $this->change($move->change, $path),
            $move->isLook => $this->look(),
            default => $this->giveUp(),
        };
        $this->steps[] = $step;
        $this->minutes += $step->minutes;
    }

    private function test(string $test, string $path): Step
    {
        try {
            $answer = $this->probe()->make($test);
        } catch (DocumentError $error) {
            throw $error->inside($path);
        }
        $diagnosis = $this->game->diagnosis($this->seen, $this->found);
        // What is known already tells nothing more.
        $gain = $this->isSeen($test) ? 0.0 : $diagnosis->gainOf(Knowledge::shipped()->tests[$test]);
        $best = $diagnosis->next();
        $lost = $best === null ? 0.0 : max(0.0, $best->gainBits / $best->minutes - $gain / $answer->minutes);
        $this->seen[] = new Observation($test, $answer->outcome);

        return new Step('test', $test, $answer->outcome, $answer->seen, $answer->minutes, $gain, $best?->test, $best?->gainBits, $lost);
    }

    private function isSeen(string $test): bool
    {
        return array_filter($this->seen, static fn (Observation $one): bool => $one->test === $test) !== [];
    }

    private function probe(): Probe
    {
        return $this->probe ??= $this->game->probe($this->found);
    }

    private function name(string $cause): Step
    {
        $says = Knowledge::shipped()->remedy($cause)->says ?? $cause;
        if (! in_array($cause, $this->hiddenStill(), true)) {
            return new Step('name', $cause, 'wrong', "$says That is not it: mended in vain.", Move::WRONG_MINUTES);
        }

        return new Step('name', $cause, 'right', $says.$this->mend($cause), 0.0);
    }

    /** A setting is put back to what the record says: what of the truth lies in it is gone. */
    private function change(string $id, string $path): Step
    {
        $setting = $this->game->settings()[$id] ?? throw DocumentError::at("$path.change", 'This rig has no such setting.', 'not_here');
        $gone = array_values(array_intersect($this->hiddenStill(), $setting->mends));
        if ($gone === []) {
            return new Step('change', $id, 'nothing', 'It stood as it should already; nothing has changed.', $setting->minutes);
        }
        $said = '';
        foreach ($gone as $cause) {
            $said = (Knowledge::shipped()->remedy($cause)->says ?? $cause).$this->mend($cause);
        }

        return new Step('change', $id, 'helped', "That was it. $said", $setting->minutes);
    }

    /** @return list<string> What is hidden and not found yet. */
    private function hiddenStill(): array
    {
        return array_values(array_diff($this->game->hidden, $this->found));
    }

    /** A fault is gone; what is left of the complaint, in words. */
    private function mend(string $cause): string
    {
        $this->found[] = $cause;
        $this->probe = null;
        if ($this->isOver()) {
            return '';
        }
        $this->seen = $this->game->complained($this->found);

        return ' Mended. But all is not well yet: '.$this->game->complaint($this->found)->says;
    }

    private function look(): Step
    {
        $minutes = $this->hasLooked ? 0.0 : Move::LOOK_MINUTES;
        $this->hasLooked = true;

        return new Step('look', null, null, 'The dry bench stands open.', $minutes);
    }

    private function giveUp(): Step
    {
        $this->isGivenUp = true;

        return new Step('give_up', null, null, 'Given up.', 0.0);
    }
}
