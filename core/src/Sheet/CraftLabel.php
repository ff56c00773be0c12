<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Told\Fact;

/** What goes onto the craft itself: the few lines that are looked for at the field. What is not known is left to be written by hand. */
final readonly class CraftLabel
{
    private Reviews $reviews;

    public function __construct(private RigDocument $rig)
    {
        $this->reviews = new Reviews($rig);
    }

    /** @return list<SheetRow> */
    public function rows(): array
    {
        $order = $this->rig->handsetOrder();

        return [
            $this->row('memory', 'Memory', $this->scalar('memory')),
            $this->row('receiver_number', 'Receiver no.', $this->scalar('receiver_number')),
            $this->row('order', 'Order', $order?->toString()),
            $this->row('alarm', 'Alarm', $this->alarm()),
            $this->failsafe(),
        ];
    }

    private function row(string $key, string $label, ?string $value): SheetRow
    {
        return new SheetRow($key, $label, $value ?? '', $value === null ? RowState::Open : RowState::Known);
    }

    private function scalar(string $key): ?string
    {
        $value = $this->rig->settings()->get($key);

        return is_scalar($value) ? (string) $value : null;
    }

    /** Of a cell, as told; else the low mark of the pack in the craft. */
    private function alarm(): ?string
    {
        $told = $this->rig->settings()->node('told')?->numberOrNull(Fact::CellAlarm->value);
        $pack = $this->rig->craftPack();

        return $told !== null ? sprintf('%g V a cell', $told) : ($pack === null ? null : sprintf('%g V', $pack->low()));
    }

    /** The day of the latest test; of several links that of the oldest. One that holds no longer is none. */
    private function failsafe(): SheetRow
    {
        $hops = $this->reviews->failsafe()->losses->hops;
        $days = array_map(fn (FailsafeHop $hop): ?string => $hop->isTested() ? CheckState::lastOf($this->rig, CheckKind::FailsafeTested, $hop->number)?->textOrNull('at') : null, $hops);
        sort($days);

        return $days === [] || in_array(null, $days, true) ? $this->row('failsafe', 'Failsafe', null) : $this->row('failsafe', 'Failsafe', Day::of($days[0]));
    }
}
