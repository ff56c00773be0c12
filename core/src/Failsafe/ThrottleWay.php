<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\TravelContext;

/** On which channel a control rides at each receiver, through the remaps in force. */
final readonly class ThrottleWay
{
    private const STICKS = 4;

    public function __construct(private RigDocument $rig)
    {
    }

    /** Whether the craft has a throttle at all: told functions without one mean it has none. */
    public function hasThrottle(): bool
    {
        $functions = $this->rig->functions() ?? [];

        return $functions === [] || in_array(Letter::Throttle->functionName(), array_column($functions, 'function'), true);
    }

    /** The handset channel whose stick ends as throttle; null if that cannot be told. */
    public function handsetChannel(): ?int
    {
        $end = $this->endChannel();

        return $end === null ? $this->handsetThrottle() : $this->back($end, $this->remapsBetween(0, count($this->rig->boxes)));
    }

    /** The channel on which the k-th receiver puts throttle out; null if that cannot be told. */
    public function receiverChannel(int $hop): ?int
    {
        $at = $this->receiverPosition($hop);
        if ($at === null) {
            return null;
        }
        $end = $this->endChannel();
        if ($end !== null) {
            return $this->back($end, $this->remapsBetween($at, count($this->rig->boxes)));
        }
        $start = $this->handsetThrottle();

        return $start === null ? null : $this->forth($start, $this->remapsBetween(0, $at));
    }

    /** The channel on which a handset channel comes out of the k-th receiver. */
    public function atReceiver(int $hop, int $handsetChannel): ?int
    {
        $at = $this->receiverPosition($hop);

        return $at === null ? null : $this->forth($handsetChannel, $this->remapsBetween(0, $at));
    }

    /** The channel of the k-th receiver that ends as this channel at the controller. */
    public function receiverChannelFor(int $hop, int $controllerChannel): ?int
    {
        $at = $this->receiverPosition($hop);

        return $at === null ? null : $this->back($controllerChannel, $this->remapsBetween($at, count($this->rig->boxes)));
    }

    /** Where the first controller behind the last receiver takes throttle; null without one whose order is known. */
    private function endChannel(): ?int
    {
        $reader = (new TravelContext($this->rig))->reader();

        return $reader === null ? null : ($this->rig->controllerOrder() ?? $reader->order)?->channelOf(Letter::Throttle);
    }

    /** The channel on which the throttle stick leaves the handset. */
    private function handsetThrottle(): ?int
    {
        foreach ($this->rig->functions() ?? [] as $entry) {
            if ($entry['function'] === Letter::Throttle->functionName()) {
                return $entry['channel'];
            }
        }

        return $this->rig->handsetOrder()?->channelOf(Letter::Throttle);
    }

    private function receiverPosition(int $hop): ?int
    {
        foreach ($this->rig->boxes as $k => $box) {
            if ($box instanceof Receiver && --$hop === 0) {
                return $k;
            }
        }

        return null;
    }

    /**
     * Remaps of the modules between two positions in the chain, in sequence; null where one is in force but not known.
     *
     * @return list<Remap>|null
     */
    private function remapsBetween(int $from, int $to): ?array
    {
        $remaps = [];
        foreach (array_slice($this->rig->boxes, $from, $to - $from, true) as $k => $module) {
            if ($module instanceof Module && $module->expects !== null && $this->rig->remapIsOn($module->id, $module->remapOn)) {
                $remap = $module->remapFor($this->protocolOf($module, $this->rig->boxes[$k + 1] ?? null));
                if ($remap === null) {
                    return null;
                }
                $remaps[] = $remap;
            }
        }

        return $remaps;
    }

    /** The protocol a module speaks to the receiver behind it: the one recorded, else the first family both know. */
    private function protocolOf(Module $module, ?object $receiver): ?Protocol
    {
        if (! $receiver instanceof Receiver) {
            return null;
        }
        $via = explode('/', $this->rig->recordedVia($module->id, $receiver->id) ?? '');
        $heard = array_map(static fn (Protocol $protocol): string => $protocol->family, $receiver->protocols);
        $shared = array_values(array_filter($module->radio->protocols, static fn (Protocol $protocol): bool => in_array($protocol->family, $heard, true)));
        foreach ([static fn (Protocol $p): bool => $p->family === $via[0] && $p->variant === ($via[1] ?? null), static fn (Protocol $p): bool => $p->family === $via[0], static fn (Protocol $p): bool => true] as $fits) {
            foreach ($shared as $protocol) {
                if ($fits($protocol)) {
                    return $protocol;
                }
            }
        }

        return null;
    }

    /** @param  list<Remap>|null  $remaps */
    private function forth(int $channel, ?array $remaps): ?int
    {
        foreach ($remaps ?? [] as $remap) {
            $channel = $channel >= 1 && $channel <= self::STICKS ? $remap->channelAfter($channel) : $channel;
        }

        return $remaps === null ? null : $channel;
    }

    /** @param  list<Remap>|null  $remaps */
    private function back(int $channel, ?array $remaps): ?int
    {
        foreach (array_reverse($remaps ?? []) as $remap) {
            $channel = $channel >= 1 && $channel <= self::STICKS ? $remap->expects->channelOf($remap->sends->at($channel)) : $channel;
        }

        return $remaps === null ? null : $channel;
    }
}
