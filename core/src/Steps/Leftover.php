<?php

declare(strict_types=1);

namespace Linguator\Core\Steps;

use Linguator\Core\Finding\Code;
use Linguator\Core\Rig\LeftAsIs;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;

/** Work of a step that is not done, or that somebody has left as it is. A rig is ready when none is open. */
final readonly class Leftover
{
    /**
     * @param  string  $what  Its place in the rig: the step, and what in it, like `travel/3`.
     * @param  StepState  $state  Open, or in need of attention.
     * @param  string  $page  Where it is done: the step, or what stands beside the steps.
     */
    private function __construct(public string $what, public StepKey $step, public StepState $state, public string $sentence, public string $page, public ?LeftAsIs $left = null)
    {
    }

    public static function open(StepKey $step, string $what, string $sentence, ?string $page = null): self
    {
        return new self("$step->value/".self::place($what), $step, StepState::Open, $sentence, $page ?? $step->value);
    }

    public static function attention(StepKey $step, string $what, string $sentence): self
    {
        return new self("$step->value/".self::place($what), $step, StepState::Attention, $sentence, $step->value);
    }

    /** As a place of a document may be spelled; names of functions are free, so what is lost of one is told apart by a short mark. */
    private static function place(string $what): string
    {
        $place = (string) preg_replace('~[^a-z0-9_/-]+~', '-', strtolower($what));

        return $place === strtolower($what) ? $place : $place.'-'.substr(hash('sha256', $what), 0, 6);
    }

    /** Something that must be mended. */
    public static function toMend(StepKey $step, Code $code, string $message): self
    {
        return self::attention($step, "$code->value/".substr(hash('sha256', $message), 0, 8), $message);
    }

    /** The same, left as it is if somebody has said so of exactly this. */
    public function in(RigDocument $rig): self
    {
        $left = LeftAsIs::of($rig, $this->what);

        return $left?->was === $this->sentence ? new self($this->what, $this->step, $this->state, $this->sentence, $this->page, $left) : $this;
    }

    public function isOpen(): bool
    {
        return $this->left === null;
    }
}
