<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\SteadyValue;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Steps\Travel\TravelRow;

/** What is held now, of each stick and switch of a rig, by the values that arrive at its reader: readings without typing. */
final readonly class RigSteady
{
    private OrderReview $order;

    public function __construct(private RigDocument $rig)
    {
        $this->order = new OrderReview($rig);
    }

    /** @return list<\stdClass> What is to be read, in the order in which it is asked for: sticks with their sides, then switches with their positions. */
    public function asks(): array
    {
        $sticks = array_map($this->stick(...), (new TravelReview($this->rig))->rows);
        $switches = array_filter($this->rig->switches(), static fn (SwitchSetting $one): bool => $one->switch !== null && ! $one->isSlider());

        return [...array_values(array_filter($sticks)), ...array_values(array_filter(array_map($this->switch(...), $switches)))];
    }

    /**
     * One of them, as it stands at the end of a log.
     *
     * @param  float|null  $taken  What was taken of it last.
     *
     * @throws DocumentError if no such function arrives, or not on a channel of the log.
     */
    public function held(string $function, ChannelLog $log, ?float $taken): \stdClass
    {
        $channel = $this->order->channelOf($function);
        if ($channel === null || $channel > count($log->columns)) {
            throw DocumentError::at('function', $channel === null ? "It is not known on which channel $function arrives: mend the path first." : sprintf('%s arrives on channel %d; only %d come in here.', ucfirst($function), $channel, count($log->columns)), 'not_here');
        }
        $value = SteadyValue::of($log, $channel);

        return (object) [
            'channel' => $channel,
            'us' => round($value->us, 1),
            'noise_us' => round($value->noiseUs, 2),
            'share' => round(min(1.0, $value->forMs / SteadyValue::HELD_MS), 3),
            'is_taken' => $value->isHeld() && $value->isOtherThan($taken),
        ];
    }

    /** @throws DocumentError at what is no log. */
    public static function log(Node $told): ChannelLog
    {
        return ChannelLog::fromNodes($told->nodes('log'));
    }

    private function stick(TravelRow $row): ?\stdClass
    {
        if ($this->order->channelOf($row->function) === null) {
            return null;
        }
        $isThrottle = $row->function === 'throttle' && ! $this->rig->motorOffAtCentre();
        $says = static fn (string $where): string => ucfirst("$row->function: $where");
        $sides = $isThrottle
            ? [['lo', $says('all the way down')], ['mid', $says('half way')], ['hi', $says('all the way up')]]
            : [['mid', $says('let it go')], ['lo', $says('to its low end, left or down, and hold')], ['hi', $says('to its high end, right or up, and hold')]];

        return (object) ['function' => $row->function, 'channel' => $row->channel, 'kind' => 'stick', 'holds' => array_map(static fn (array $side): \stdClass => (object) ['side' => $side[0], 'says' => $side[1]], $sides)];
    }

    private function switch(SwitchSetting $setting): ?\stdClass
    {
        $positions = $setting->switch->positions ?? 0;
        if ($positions < 2 || $this->order->channelOf($setting->function) === null) {
            return null;
        }
        $holds = array_map(static fn (int $position): \stdClass => (object) ['side' => (string) $position, 'says' => "Switch $setting->switchId in position $position of $positions, for $setting->function"], range(1, $positions));

        return (object) ['function' => $setting->function, 'channel' => $setting->channel, 'kind' => 'switch', 'holds' => $holds];
    }
}
