<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Steps;

/** A switch's levels against a window of the controller (rules S1–S4). */
final readonly class WindowCheck
{
    /** A level nearer to an edge than this may miss it on another day (µs). */
    private const ROOM_US = 25.0;

    private const ARM_POSITIONS = 2;

    public function __construct(
        private SwitchLevels $switch,
        private Window $window,
        private ?int $powerUpPosition = null,
        private ?float $failsafeUs = null,
        private bool $spring = false,
    ) {
    }

    /** @return list<int> Positions whose level is inside. */
    public function inside(): array
    {
        $inside = array_filter($this->switch->levels, fn (SwitchLevel $level): bool => $this->window->contains($level->us));

        return array_values(array_map(static fn (SwitchLevel $level): int => $level->position, $inside));
    }

    /** @return array<int, float> By wanted position: µs to the nearer edge, negative outside. */
    public function margins(): array
    {
        $margins = [];
        foreach ($this->window->wanted as $position) {
            $margins[$position] = Steps::clean($this->window->margin($this->switch->us($position)));
        }

        return $margins;
    }

    public function isOk(): bool
    {
        return self::isSound($this->findings());
    }

    private static function isSound(Findings $findings): bool
    {
        return $findings->countOf(Severity::Fix, Severity::Stop) === 0;
    }

    public function findings(): Findings
    {
        return $this->missed()->and($this->unwanted(), ...($this->window->name === Window::ARM ? [$this->arming()] : []));
    }

    public function verdict(): WindowVerdict
    {
        $margins = new \stdClass;
        foreach ($this->margins() as $position => $margin) {
            $margins->{(string) $position} = $margin;
        }

        $findings = $this->findings();

        return new WindowVerdict($this->window->name, $this->inside(), $margins, self::isSound($findings), $this->widened(), $findings);
    }

    private function missed(): Findings
    {
        $findings = [];
        foreach ($this->margins() as $position => $margin) {
            $level = $this->switch->us($position);
            if ($margin < 0) {
                $findings[] = new Finding(Code::S1, Severity::Fix, sprintf('Position %d sends %g µs, outside "%s" by %g µs.', $position, $level, $this->window->name, -$margin),
                    found: sprintf('%g µs', $level), expected: $this->range(), why: 'The function never switches on.', change: $this->widen($level));
            } elseif ($margin < self::ROOM_US) {
                $findings[] = new Finding(Code::S1, Severity::Check, sprintf('Position %d sends %g µs, only %g µs inside the edge of "%s".', $position, $level, $margin, $this->window->name),
                    found: sprintf('%g µs to the edge', $margin), expected: sprintf('at least %g µs', self::ROOM_US), why: 'A little noise or a warm day puts it outside.', change: $this->widen($level));
            }
        }

        return Findings::of(...$findings);
    }

    /** The window with every wanted level inside and room around it. */
    public function widened(): WindowRange
    {
        $levels = array_map($this->switch->us(...), $this->window->wanted);

        return new WindowRange(
            min([$this->window->lo, ...array_map(static fn (float $us): float => floor($us - self::ROOM_US), $levels)]),
            max([$this->window->hi, ...array_map(static fn (float $us): float => ceil($us + self::ROOM_US), $levels)]),
        );
    }

    private function widen(float $level): string
    {
        return sprintf('Let the window reach from %g to %g µs.', min($this->window->lo, floor($level - self::ROOM_US)), max($this->window->hi, ceil($level + self::ROOM_US)));
    }

    private function unwanted(): Findings
    {
        return Findings::of(...array_map(fn (int $position): Finding => new Finding(Code::S2, Severity::Fix,
            sprintf('Position %d sends %g µs, which is inside "%s" and should not be.', $position, $this->switch->us($position), $this->window->name),
            found: sprintf('%g µs', $this->switch->us($position)), expected: "outside {$this->range()}", why: 'The function is on when you think it is off.', change: 'Narrow the window, or change the levels of the switch.',
        ), array_values(array_diff($this->inside(), $this->window->wanted))));
    }

    private function arming(): Findings
    {
        $findings = [];
        if ($this->powerUpPosition !== null && $this->window->contains($this->switch->us($this->powerUpPosition))) {
            $findings[] = new Finding(Code::S3, Severity::Stop, sprintf('At power-up the switch stands in position %d, which arms.', $this->powerUpPosition),
                found: sprintf('%g µs', $this->switch->us($this->powerUpPosition)), expected: "outside {$this->range()}", why: 'The motors may start when the pack is plugged in.', change: 'Turn the switch round, and let the handset warn when it is not off.');
        }
        if ($this->failsafeUs !== null && $this->window->contains($this->failsafeUs)) {
            $findings[] = new Finding(Code::S3, Severity::Stop, sprintf('The stored failsafe value of %g µs arms.', $this->failsafeUs),
                found: sprintf('%g µs', $this->failsafeUs), expected: "outside {$this->range()}", why: 'A lost link would arm the craft, or keep it armed.', change: 'Store the arm channel with the switch off.');
        }
        if ($this->spring || $this->switch->count() !== self::ARM_POSITIONS) {
            $findings[] = new Finding(Code::S4, Severity::Check, $this->spring ? 'Arm is on a switch that springs back.' : "Arm is on a switch with {$this->switch->count()} positions.",
                found: $this->spring ? 'a spring' : "{$this->switch->count()} positions", expected: 'two positions that stay', why: 'In a hurry the wrong position is found.', change: 'Put arm on a two-position switch within reach.');
        }

        return Findings::of(...$findings);
    }

    private function range(): string
    {
        return sprintf('%g to %g µs', $this->window->lo, $this->window->hi);
    }
}
