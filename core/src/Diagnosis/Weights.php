<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/**
 * How much each cause weighs after what was seen. `something_else` is two rows, half its weight each: every test sound, and every outcome even.
 */
final readonly class Weights
{
    private const ALL_SOUND = 'something_else/sound';

    private const ALL_EVEN = 'something_else/even';

    /** @param  array<string, float>  $rows  By cause, not summing to anything. */
    private function __construct(private Knowledge $knowledge, private array $rows)
    {
    }

    /**
     * Before anything was seen.
     *
     * @param  \Closure(string): float  $factor  What a cause's weight is multiplied with; 0: this chain cannot have it.
     */
    public static function before(Knowledge $knowledge, \Closure $factor): self
    {
        $rows = [];
        foreach ($knowledge->causes as $cause) {
            $rows[$cause->id] = $cause->weight * $factor($cause->id);
        }
        $rest = Knowledge::SOMETHING_ELSE_WEIGHT / 2 * $factor(Knowledge::SOMETHING_ELSE);

        return new self($knowledge, array_filter($rows, static fn (float $weight): bool => $weight > 0.0) + [self::ALL_SOUND => $rest, self::ALL_EVEN => $rest]);
    }

    /** After this was seen too. */
    public function after(Observation $one): self
    {
        $test = $this->knowledge->tests[$one->test];
        $rows = [];
        foreach ($this->rows as $row => $weight) {
            $rows[$row] = $weight * match ($row) {
                self::ALL_EVEN => 1 / count($test->outcomes),
                self::ALL_SOUND => Knowledge::soundShare($test, $one->outcome),
                default => $this->knowledge->causes[$row]->likelihood($one->test, $one->outcome),
            };
        }

        return new self($this->knowledge, $rows);
    }

    public function sum(): float
    {
        return array_sum($this->rows);
    }

    /** @return array<string, float> By cause, summing to 1. */
    public function shares(): array
    {
        $rows = $this->rows;
        $rest = $rows[self::ALL_SOUND] + $rows[self::ALL_EVEN];
        unset($rows[self::ALL_SOUND], $rows[self::ALL_EVEN]);
        $sum = $this->sum();

        return array_map(static fn (float $weight): float => $weight / $sum, $rows + [Knowledge::SOMETHING_ELSE => $rest]);
    }

    /** How much doubt there is, bits. */
    public function entropy(): float
    {
        return -array_sum(array_map(static fn (float $p): float => $p > 0.0 ? $p * log($p, 2) : 0.0, $this->shares()));
    }
}
