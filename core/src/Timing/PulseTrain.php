<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/**
 * A pulse train and its gap: a reader finds the start by a gap longer than it can overlook, and longer than any channel.
 * All in µs.
 */
final readonly class PulseTrain
{
    /** A gap must be longer than the longest channel by this, or it is taken for one. */
    public const UNMISTAKABLE_US = 500.0;

    private const FRAME_STEP_US = 500.0;

    public const USUAL_DETECT_US = 3000.0;

    private const DUST_US = 1e-6;

    /**
     * @param  positive-int  $channels
     * @param  int  $used  How many carry something, 0 to channels.
     * @param  float|null  $heldAt  Where the others are held; null: they move like the rest.
     */
    public function __construct(
        public float $frame,
        public int $channels,
        public float $min,
        public float $max,
        public int $used,
        public ?float $heldAt = null,
        public float $syncDetect = self::USUAL_DETECT_US,
    ) {
    }

    /** The shortest gap that can occur: T − Σ max. */
    public function worstSync(): float
    {
        return $this->frame - $this->sum();
    }

    /** max(sync_detect, longest channel + 500). */
    public function requiredSync(): float
    {
        return max($this->syncDetect, $this->longest() + self::UNMISTAKABLE_US);
    }

    public function isSound(): bool
    {
        return $this->worstSync() >= $this->requiredSync() - self::DUST_US;
    }

    /** Both faults at once: ambiguous. */
    public function verdict(): TrainVerdict
    {
        return match (true) {
            $this->isSound() => TrainVerdict::Sound,
            $this->worstSync() < $this->longest() + self::UNMISTAKABLE_US - self::DUST_US => TrainVerdict::Ambiguous,
            default => TrainVerdict::Undetected,
        };
    }

    /** The shortest frame, in steps of 500 µs, with room for all channels at full throw. */
    public function frameNeeded(): float
    {
        $full = $this->atFullThrow();

        return ceil(round(($full->sum() + $full->requiredSync()) / self::FRAME_STEP_US, 9)) * self::FRAME_STEP_US;
    }

    /** How many channels fit into this frame at full throw. */
    public function mostChannels(): int
    {
        return max(0, (int) floor(round(($this->frame - $this->atFullThrow()->requiredSync()) / $this->max, 9)));
    }

    /** The same train with its unused channels held; null when all are used. */
    public function held(): ?self
    {
        return $this->used >= $this->channels ? null : new self($this->frame, $this->channels, $this->min, $this->max, $this->used, $this->heldAt ?? $this->min, $this->syncDetect);
    }

    public function budget(): TrainBudget
    {
        $held = $this->held();

        return new TrainBudget($this->verdict(), $this->worstSync(), $this->requiredSync(), new TrainRemedies(
            $this->frameNeeded(),
            $held?->heldAt === null ? null : new HeldTrain($held->heldAt, $held->worstSync(), $held->isSound()),
            $this->mostChannels(),
        ));
    }

    private function sum(): float
    {
        return $this->heldAt === null
            ? $this->channels * $this->max
            : $this->used * $this->max + ($this->channels - $this->used) * $this->heldAt;
    }

    private function longest(): float
    {
        return match (true) {
            $this->heldAt === null || $this->used === $this->channels => $this->max,
            $this->used === 0 => $this->heldAt,
            default => max($this->max, $this->heldAt),
        };
    }

    private function atFullThrow(): self
    {
        return new self($this->frame, $this->channels, $this->min, $this->max, $this->channels, null, $this->syncDetect);
    }
}
