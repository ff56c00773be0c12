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
     * @param  bool  $inCraft  Powered by the craft: what its voltage destroys does not join.
     * @return list<Segment>
     */
    public function between(Box $from, Box $to, bool $inCraft, string ...$used): array
    {
        $direct = $this->joiner->ways($from, $to);
        if (! $direct->areNone()) {
            return [Segment::start()->to($to, $direct, $inCraft ? $this->fed($to) : null)];
        }
        $left = self::MAX_CONVERTERS - count($used);
        $ways = $left >= 1 ? $this->withOne($from, $to, $inCraft, ...$used) : [];

        return $ways === [] && $left >= 2 ? $this->withTwo($from, $to, $inCraft, ...$used) : $ways;
    }

    /**
     * From the last receiver through the controllers to the craft, cheapest first.
     *
     * @return list<Segment>
     */
    public function tails(Receiver $receiver, string ...$used): array
    {
        return $this->tails[$receiver->id."\0".implode("\0", $used)] ??= $this->findTails($receiver, ...$used);
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

    /** @return list<Segment> */
    private function findTails(Receiver $receiver, string ...$used): array
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
                foreach ($this->between($from, $station, true, ...$used, ...$tail->converters) as $way) {
                    $longer[] = $tail->then($way);
                }
            }
            [$tails, $from] = [$longer, $station];
        }
        usort($tails, static fn (Segment $a, Segment $b): int => $a->least->compare($b->least) ?: Path::compareIds($a->ids, $b->ids));

        return $tails;
    }

    /** @return list<Segment> */
    private function withOne(Box $from, Box $to, bool $inCraft, string ...$used): array
    {
        $ways = [];
        foreach ($this->fedBy($from) as $converter) {
            $onward = $this->isFree($converter, $inCraft, ...$used) ? $this->joiner->ways($converter, $to) : null;
            if ($onward?->areNone() === false) {
                $ways[] = Segment::start()
                    ->to($converter, $this->joiner->ways($from, $converter), $inCraft ? $this->fed($converter) : null, true)
                    ->to($to, $onward, $inCraft ? $this->fed($to) : null);
            }
        }

        return $ways;
    }

    /** @return list<Segment> */
    private function withTwo(Box $from, Box $to, bool $inCraft, string ...$used): array
    {
        $ways = [];
        foreach ($this->fedBy($from) as $first) {
            if (! $this->isFree($first, $inCraft, ...$used)) {
                continue;
            }
            foreach ($this->withOne($first, $to, $inCraft, $first->id, ...$used) as $rest) {
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

    private function isFree(Converter $converter, bool $inCraft, string ...$used): bool
    {
        return ! in_array($converter->id, $used, true) && ! ($inCraft && $this->isDestroyed($converter));
    }
}
