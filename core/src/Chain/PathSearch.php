<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;

/**
 * Finds the best three chains from a handset to a craft over a whole shelf.
 *
 * Chains number in the hundred thousands once a relay is allowed, so it does not build them all: parts are taken up
 * cheapest first, and dropped as soon as the least they can still cost is more than the third best found.
 */
final class PathSearch
{
    public const BEST = 3;

    /** Handset, receiver, module, receiver, craft. */
    private const RELAY_BOXES = 5;

    /** @var list<Path> Best first. */
    private array $best = [];

    private readonly AirJoiner $air;

    private readonly WireWays $ways;

    /** @var list<Receiver> */
    private readonly array $receivers;

    /** @var array<string, Cost|null> By receiver id: the least from it to the craft, itself included; null: it cannot be the last. */
    private array $ends = [];

    private function __construct(private readonly PlanRequest $request)
    {
        $context = $request->context();
        $this->air = new AirJoiner($context);
        $this->ways = new WireWays(new WireJoiner($context), $request->converters(), $request->controllers, $request->craft);
        $this->receivers = $request->receivers();
    }

    /** @return list<Path> Best first, at most three; empty when nothing joins. */
    public static function best(PlanRequest $request): array
    {
        $search = new self($request);
        $search->searchDirect();
        if ($request->allowRelay) {
            $search->searchRelays();
        }

        return $search->best;
    }

    private function searchDirect(): void
    {
        $open = [];
        foreach ($this->heads() as [$sender, $head]) {
            foreach ($this->receivers as $receiver) {
                $end = $this->end($receiver);
                $ways = $end === null || ! $this->holdsAll($sender, $receiver) ? null : $this->air->ways($sender, $receiver);
                if ($end !== null && $ways?->areNone() === false) {
                    $open[] = [$head->least->plus($ways->least)->plus($end), $head, $receiver, $ways];
                }
            }
        }
        usort($open, static fn (array $a, array $b): int => $a[0]->compare($b[0]) ?: Path::compareIds([...$a[1]->ids, $a[2]->id], [...$b[1]->ids, $b[2]->id]));
        foreach ($open as [$bound, $head, $receiver, $ways]) {
            if ($this->isTooDear($bound)) {
                break;
            }
            $this->finish($head, $receiver, $ways);
        }
    }

    /** Whether everything that must be there is, in a chain with one receiver. */
    private function holdsAll(Box $sender, Receiver $receiver): bool
    {
        return self::isWithin($this->request->mustReceivers, $receiver->id) && self::isWithin($this->request->mustModules, $sender->id());
    }

    /**
     * Whether nothing but these must be there: mostly nothing must.
     *
     * @param  list<string>  $must
     */
    private static function isWithin(array $must, string ...$there): bool
    {
        return $must === [] || array_diff($must, $there) === [];
    }

    /**
     * Ways from the handset to what sends first: its own radio, or a module.
     *
     * @return list<array{Handset|Module, Segment}>
     */
    private function heads(): array
    {
        $heads = [[$this->request->handset, Segment::start()]];
        foreach ($this->request->modules() as $module) {
            foreach ($this->ways->between($this->request->handset, $module, false) as $way) {
                $heads[] = [$module, $way];
            }
        }

        return $heads;
    }

    /** The least a receiver costs as the last one, with what follows; null if no craft can be reached from it. */
    private function end(Receiver $receiver): ?Cost
    {
        if (! array_key_exists($receiver->id, $this->ends)) {
            $tails = $this->ways->tails($receiver);
            $fixes = $this->findingsAtEnd($receiver)->countOf(Severity::Fix);
            $this->ends[$receiver->id] = $tails === [] ? null : self::floor($tails[0])->plusBox($fixes);
        }

        return $this->ends[$receiver->id];
    }

    /** What a tail costs at least, also when some of its converters are already used elsewhere. */
    private static function floor(Segment $tail): Cost
    {
        return $tail->converters === [] ? $tail->least : new Cost(0, count($tail->boxes) - count($tail->converters) + 1, 0, 0.0);
    }

    private function findingsAtEnd(Receiver $receiver): Findings
    {
        return $this->reserved($receiver)->and($this->ways->fed($receiver));
    }

    private function reserved(Receiver $receiver): Findings
    {
        return PathRules::reserved($receiver, $this->request->functions, $this->request->channels);
    }

    private function finish(Segment $head, Receiver $receiver, Ways $ways): void
    {
        $start = $head->to($receiver, $ways, $this->findingsAtEnd($receiver));
        foreach ($this->ways->tails($receiver, ...$head->converters) as $tail) {
            $whole = $start->then($tail);
            if ($this->isTooDear($whole->least)) {
                break;
            }
            if (! $this->isHopeless($whole->least, $whole)) {
                $this->offer($whole);
            }
        }
    }

    private function searchRelays(): void
    {
        if ($this->isTooDear(new Cost(0, self::RELAY_BOXES - 1 + count($this->request->controllers), 0, 0.0))) {
            return;
        }
        $seconds = array_filter($this->secondHops());
        $leastOnward = $this->leastOnward($seconds);
        if ($leastOnward === null) {
            return;
        }
        $open = [];
        foreach ($this->heads() as [$sender, $head]) {
            foreach ($this->receivers as $first) {
                $ways = $this->air->ways($sender, $first);
                if (! $ways->areNone()) {
                    $middle = $head->to($first, $ways, $this->reserved($first));
                    $open[] = [$middle->least->plus($leastOnward), $middle, $sender, $first];
                }
            }
        }
        usort($open, static fn (array $a, array $b): int => $a[0]->compare($b[0]) ?: Path::compareIds($a[1]->ids, $b[1]->ids));
        foreach ($open as [$bound, $middle, $sender, $first]) {
            if ($this->isTooDear($bound)) {
                break;
            }
            if (! $this->isHopeless($bound, $middle)) {
                $this->expand($middle, $sender, $first, $seconds);
            }
        }
    }

    /**
     * The least any relay costs behind its first receiver: a wire of unknown cost to a module, and that module's best second hop.
     *
     * @param  array<string, non-empty-list<Reached>>  $seconds
     */
    private function leastOnward(array $seconds): ?Cost
    {
        $least = null;
        foreach ($seconds as $reached) {
            if ($least === null || $reached[0]->least->compare($least) < 0) {
                $least = $reached[0]->least;
            }
        }

        return $least?->plusBox();
    }

    /**
     * For each module what its second hop reaches: receivers with the least they cost to the end, cheapest first.
     *
     * @return array<string, list<Reached>>
     */
    private function secondHops(): array
    {
        $hops = [];
        foreach ($this->request->modules() as $module) {
            $reached = [];
            foreach ($this->receivers as $receiver) {
                $end = $this->end($receiver);
                $ways = $end === null ? null : $this->air->ways($module, $receiver);
                if ($end !== null && $ways?->areNone() === false) {
                    $reached[] = new Reached($ways->least->plus($end), $receiver, $ways);
                }
            }
            usort($reached, Reached::compare(...));
            $hops[$module->id] = $reached;
        }

        return $hops;
    }

    /**
     * From a relay's first receiver over every module and second receiver to the craft.
     *
     * @param  array<string, non-empty-list<Reached>>  $seconds
     */
    private function expand(Segment $middle, Box $sender, Receiver $first, array $seconds): void
    {
        $open = [];
        foreach ($this->request->modules() as $module) {
            $mayStand = isset($seconds[$module->id]) && $module !== $sender && self::isWithin($this->request->mustModules, $sender->id(), $module->id);
            foreach ($mayStand ? $this->ways->between($first, $module, false, ...$middle->converters) : [] as $way) {
                $head = $middle->then($way);
                $open[] = [$head->least->plus($seconds[$module->id][0]->least), $head, $seconds[$module->id]];
            }
        }
        usort($open, static fn (array $a, array $b): int => $a[0]->compare($b[0]) ?: Path::compareIds($a[1]->ids, $b[1]->ids));
        foreach ($open as [$bound, $head, $reached]) {
            if ($this->isTooDear($bound)) {
                break;
            }
            if (! $this->isHopeless($bound, $head)) {
                $this->finishAll($head, $first, $reached);
            }
        }
    }

    /** @param  non-empty-list<Reached>  $reached */
    private function finishAll(Segment $head, Receiver $first, array $reached): void
    {
        foreach ($reached as $one) {
            if ($this->isTooDear($head->least->plus($one->least))) {
                break;
            }
            if ($one->receiver !== $first && self::isWithin($this->request->mustReceivers, $first->id, $one->receiver->id)) {
                $this->finish($head, $one->receiver, $one->ways);
            }
        }
    }

    /** More than the third best, whatever else; the handset itself is counted here. */
    private function isTooDear(Cost $least): bool
    {
        return isset($this->best[self::BEST - 1]) && $least->plusBox()->compare($this->best[self::BEST - 1]->cost) > 0;
    }

    /** Too dear, or as dear as the third best at least and behind it by telemetry or by the ids so far. */
    private function isHopeless(Cost $least, Segment $begun): bool
    {
        $third = $this->best[self::BEST - 1] ?? null;
        if ($third === null || $least->plusBox()->compare($third->cost) < 0) {
            return false;
        }
        $rank = $third->telemetry->rank();
        $atBest = $this->losesData($begun) ? Telemetry::None->rank() : Telemetry::Full->rank();
        if ($atBest !== $rank) {
            return $atBest > $rank;
        }
        $ids = $begun->ids;

        return Path::compareIds($ids, array_slice($third->ids(), 1, count($ids))) > 0;
    }

    /** Whether no data can come back from the last receiver in it. */
    private function losesData(Segment $toReceiver): bool
    {
        $end = count($toReceiver->boxes) - 1;
        while ($end >= 0 && ! $toReceiver->boxes[$end] instanceof Receiver) {
            $end--;
        }
        for ($k = 0; $k <= $end; $k++) {
            [$ways, $box] = [$toReceiver->couplings[$k], $toReceiver->boxes[$k]];
            if (! $ways->any(static fn (Joint $joint): bool => $joint->isAir() || $joint->bringsDataBack()) || ($box instanceof Receiver && $box->telemetry !== true) || in_array($box->id(), $toReceiver->converters, true)) {
                return true;
            }
        }

        return false;
    }

    /** Takes the best combination of ways along these boxes into the best three, if it belongs there. */
    private function offer(Segment $whole): void
    {
        $path = PathChoice::best($whole, $this->best[self::BEST - 1] ?? null);
        if ($path === null) {
            return;
        }
        $this->best[] = $path;
        usort($this->best, static fn (Path $a, Path $b): int => $a->compare($b));
        $this->best = array_slice($this->best, 0, self::BEST);
    }
}
