<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;

/** Collects what speaks against a coupling and what about it is not known. */
final class Judgement
{
    /** @var list<Code> */
    public array $misses = [];

    /** @var list<Finding> */
    private array $findings = [];

    /** @var list<string> */
    private array $unknown = [];

    public function __construct(private readonly Box $from, private readonly Box $to)
    {
    }

    public function add(Findings|Finding|null $found): void
    {
        if ($found instanceof Finding) {
            $this->findings[] = $found;
        } elseif ($found !== null) {
            array_push($this->findings, ...$found->all);
        }
    }

    public function miss(Code $code): void
    {
        if (! in_array($code, $this->misses, true)) {
            $this->misses[] = $code;
        }
    }

    public function notKnown(string $what): void
    {
        $this->unknown[] = $what;
    }

    /** At least so many are needed (M12), where the number is known (M13). */
    public function needs(int $needed, ?int $there, string $what): void
    {
        if ($there === null) {
            $this->notKnown($what);
        } elseif ($there < $needed) {
            $this->miss(Code::M12);
        }
    }

    public function check(Code $code, string $message, string $why): void
    {
        $this->tell($code, Severity::Check, $message, $why);
    }

    public function note(Code $code, string $message, string $why): void
    {
        $this->tell($code, Severity::Note, $message, $why);
    }

    private function tell(Code $code, Severity $severity, string $message, string $why): void
    {
        $this->add(new Finding($code, $severity, $message, why: $why, from: $this->from->id(), to: $this->to->id()));
    }

    public function findings(): Findings
    {
        $all = Findings::of(...$this->findings);
        if ($this->unknown === []) {
            return $all;
        }

        return $all->and(new Finding(Code::M13, Severity::Check,
            "Not known between {$this->from->name()} and {$this->to->name()}: ".implode(', ', $this->unknown).'.',
            why: 'They may join, or not; nobody has said.', change: 'Look it up or measure it, and enter it on the card.',
            from: $this->from->id(), to: $this->to->id()));
    }
}
