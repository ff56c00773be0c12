<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;

/** A part of a chain behind its first box: the boxes that follow and every way in which each coupling joins. */
final readonly class Segment
{
    /**
     * @param  list<Box>  $boxes
     * @param  list<Ways>  $couplings  One for each box.
     * @param  list<string>  $converters  Ids of the converters in it.
     * @param  list<string>  $ids  Of all its boxes: compared too often to be asked for each time.
     */
    private function __construct(
        public array $boxes,
        public array $couplings,
        public Cost $least,
        public Findings $boxFindings,
        public array $converters,
        public array $ids,
    ) {
    }

    public static function start(): self
    {
        return new self([], [], Cost::zero(), Findings::none(), [], []);
    }

    /** @param  Findings|null  $findings  Those of the box itself. */
    public function to(Box $box, Ways $ways, ?Findings $findings = null, bool $isConverter = false): self
    {
        $fixes = $findings?->countOf(Severity::Fix) ?? 0;

        return new self(
            [...$this->boxes, $box],
            [...$this->couplings, $ways],
            $this->least->plus($ways->least)->plusBox($fixes),
            $this->boxFindings->and($findings),
            $isConverter ? [...$this->converters, $box->id()] : $this->converters,
            [...$this->ids, $box->id()],
        );
    }

    public function then(self $next): self
    {
        return new self(
            [...$this->boxes, ...$next->boxes],
            [...$this->couplings, ...$next->couplings],
            $this->least->plus($next->least),
            $this->boxFindings->and($next->boxFindings),
            [...$this->converters, ...$next->converters],
            [...$this->ids, ...$next->ids],
        );
    }
}
