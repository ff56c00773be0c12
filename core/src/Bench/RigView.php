<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Chain\Telemetry;
use Linguator\Core\Readiness\Next;
use Linguator\Core\Readiness\ReadinessView;
use Linguator\Core\Readiness\Step;
use Linguator\Core\Rig\SettingToMake;
use Linguator\Core\Sheet\SheetSection;
use Linguator\Core\Steps\Bind\BindHop;
use Linguator\Core\Steps\Failsafe\FailsafeView;
use Linguator\Core\Steps\Handset\HandsetItem;
use Linguator\Core\Steps\Order\OrderView;
use Linguator\Core\Steps\Path\Coupling;
use Linguator\Core\Steps\Switches\SwitchesView;
use Linguator\Core\Steps\Timing\TimingView;
use Linguator\Core\Steps\Told\FactView;
use Linguator\Core\Steps\Travel\TravelView;
use Linguator\Core\Steps\Wiring\WiringView;
use Linguator\Core\Timing\Delay;
use Linguator\Core\Timing\DelayShare;

/** Everything the screens show of a rig; `schema/screens/rig-review.schema.json` says the same. */
final readonly class RigView
{
    /**
     * @param  \stdClass  $craft  As the document has it.
     * @param  list<BoxView>  $boxes
     * @param  int  $channels  How many must get through.
     * @param  list<Coupling>  $couplings
     * @param  list<SettingToMake>  $changes
     * @param  Delay|null  $latencyMs  Null: nothing joins.
     * @param  list<DelayShare>  $latencyStages
     * @param  list<BindHop>  $bind
     * @param  list<HandsetItem>  $handset
     * @param  list<FactView>  $told
     * @param  non-empty-list<Step>  $steps
     * @param  list<SheetSection>  $sheet
     */
    public function __construct(
        public string $name,
        public \stdClass $craft,
        public array $boxes,
        public int $channels,
        public array $couplings,
        public array $changes,
        public ?Delay $latencyMs,
        public array $latencyStages,
        public ?Telemetry $telemetry,
        public OrderView $order,
        public WiringView $wiring,
        public array $bind,
        public TravelView $travel,
        public SwitchesView $switches,
        public FailsafeView $failsafe,
        public ReadinessView $readiness,
        public TimingView $timing,
        public array $handset,
        public array $told,
        public UnitsView $units,
        public array $steps,
        public Next $next,
        public array $sheet,
        public MenusView $menus,
    ) {
    }
}
