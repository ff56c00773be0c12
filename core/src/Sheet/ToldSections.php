<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Told\Fact;
use Linguator\Core\Steps\Told\FactGroup;
use Linguator\Core\Steps\Told\ToldReview;

/** What was said of the rig beside what can be worked out, under its headings. */
final readonly class ToldSections
{
    private ToldReview $told;

    public function __construct(private RigDocument $rig)
    {
        $this->told = new ToldReview($rig);
    }

    /** @return list<SheetSection> */
    public function all(): array
    {
        return array_map($this->section(...), FactGroup::cases());
    }

    private function section(FactGroup $group): SheetSection
    {
        $rows = [];
        foreach ($this->told->asked() as $fact) {
            $said = $fact->group() === $group ? $fact->said($this->rig) : null;
            if ($said !== null) {
                $rows[] = new SheetRow("told/$fact->value", $fact->label(), implode(', ', array_filter([$said, $this->told->follows($fact)])), $this->isOpen($fact) ? RowState::Attention : RowState::Known);
            }
        }

        return new SheetSection($group->title(), $rows);
    }

    private function isOpen(Fact $fact): bool
    {
        return $fact === Fact::SetUpRate && Fact::SetUpRateBack->of($this->rig) !== true;
    }
}
