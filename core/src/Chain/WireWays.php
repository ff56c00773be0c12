<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;

/** Ways from one box to another over wires, with as few converters between two neighbours as let them join. */
final class WireWays
{
    /** At most so many converters stand in a chain. */
    public const MAX_CONVERTERS = 2;

    /** @var array<string, list<Converter>> Converters a box can feed directly, by its id. */
    private array $fedBy = [];

    /** @var array<string, list<Segment>> */
    private array $tails = [];

    /**
     * @param  list<Converter>  $converters
     * @param  list<Controller>  $controllers  Those that stand before the craft.
     */
    public function __construct(
        private readonly WireJoiner $joiner,
        private readonly array $converters,
        private readonly array $controllers,
        private readonly Controller|ServoSet $craft,
    ) {
    }

    /**
     * From one box to the next, without the converters already used.
     *
     * @param  list<string>  $used
     * @param  bool  $inCraft  Powered by the craft: what its voltage destroys does not join.
     * @return list<Segment>
     */
    public function between(Box $from, Box $to, array $used, bool $inCraft = false): array
    {
        $direct = $this->joiner->ways($from, $to);
        if (! $direct->areNone()) {
            return [Segment::start()->to($to, $direct, $inCraft ? $this->fed($to) : null)];
        }
        $left = self::MAX_CONVERTERS - count($used);
        $ways = $left >= 1 ? $this->withOne($from, $to, $used, $inCraft) : [];

        return $ways === [] && $left >= 2 ? $this->withTwo($from, $to, $used, $inCraft) : $ways;
    }

    /**
     * From the last receiver through the controllers to the craft, cheapest first.
     *
     * @param  list<string>  $used  Converters already in the chain.
     * @return list<Segment>
     */
    public function tails(Receiver $receiver, array $used = []): array
    {
        return $this->tails[$receiver->id."\0".implode("\0", $used)] ??= $this->findTails($receiver, $used);
    }

    /** Whether the craft's supply would destroy this box. */
    public function isDestroyed(Box $box): bool
    {
        return PathRules::feed($box, $this->craft->feedsV)?->code === Code::P1;
    }

    /** P1 or P2 of a box fed by the craft. */
    public function fed(Box $box): Findings
    {
        return Findings::of($box === $this->craft ? null : PathRules::feed($box, $this->craft->feedsV));
    }

    /**
     * @param  list<string>  $used
     * @return list<Segment>
     */
    private function findTails(Receiver $receiver, array $used): array
    {
        $stations = [...$this->controllers, $this->craft];
        foreach ([$receiver, ...$this->controllers] as $box) {
            if ($this->isDestroyed($box)) {
                return [];
            }
        }
        $tails = [Segment::start()];
        $from = $receiver;
        foreach ($stations as $station) {
            $longer = [];
            foreach ($tails as $tail) {
                foreach ($this->between($from, $station, [...$used, ...$tail->converters], true) as $way) {
                    $longer[] = $tail->then($way);
                }
            }
            [$tails, $from] = [$longer, $station];
        }
        usort($tails, static fn (Segment $a, Segment $b): int => $a->least->compare($b->least) ?: Path::compareIds($a->ids(), $b->ids()));

        return $tails;
    }

    /**
     * @param  list<string>  $used
     * @return list<Segment>
     */
    private function withOne(Box $from, Box $to, array $used, bool $inCraft): array
    {
        $ways = [];
        foreach ($this->fedBy($from) as $converter) {
            $onward = $this->isFree($converter, $used, $inCraft) ? $this->joiner->ways($converter, $to) : Ways::of();
            if (! $onward->areNone()) {
                $ways[] = Segment::start()
                    ->to($converter, $this->joiner->ways($from, $converter), $inCraft ? $this->fed($converter) : null, true)
                    ->to($to, $onward, $inCraft ? $this->fed($to) : null);
            }
        }

        return $ways;
    }

    /**
     * @param  list<string>  $used
     * @return list<Segment>
     */
    private function withTwo(Box $from, Box $to, array $used, bool $inCraft): array
    {
        $ways = [];
        foreach ($this->fedBy($from) as $first) {
            if (! $this->isFree($first, $used, $inCraft)) {
                continue;
            }
            foreach ($this->withOne($first, $to, [...$used, $first->id], $inCraft) as $rest) {
                $ways[] = Segment::start()
                    ->to($first, $this->joiner->ways($from, $first), $inCraft ? $this->fed($first) : null, true)
                    ->then($rest);
            }
        }

        return $ways;
    }

    /** @return list<Converter> */
    private function fedBy(Box $box): array
    {
        return $this->fedBy[$box->id()] ??= array_values(array_filter(
            $this->converters,
            fn (Converter $converter): bool => $converter !== $box && ! $this->joiner->ways($box, $converter)->areNone(),
        ));
    }

    /** @param  list<string>  $used */
    private function isFree(Converter $converter, array $used, bool $inCraft): bool
    {
        return ! in_array($converter->id, $used, true) && ! ($inCraft && $this->isDestroyed($converter));
    }
}
