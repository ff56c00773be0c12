<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\Joints;
use Linguator\Core\Chain\Path;
use Linguator\Core\Chain\PathRules;
use Linguator\Core\Chain\PlanRequest;
use Linguator\Core\Chain\WireJoiner;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Receiver;

/** Every chain there is, built without any cleverness: what the search must agree with. */
final class PlainEnumeration
{
    private WireJoiner $wires;

    private AirJoiner $air;

    /** @var array<string, Path> The best path of each list of boxes. */
    private array $paths = [];

    private function __construct(private readonly PlanRequest $request)
    {
        $this->wires = new WireJoiner($request->context());
        $this->air = new AirJoiner($request->context());
    }

    /** @return list<Path> All of them, best first. */
    public static function paths(PlanRequest $request): array
    {
        $all = new self($request);
        foreach ($all->stations() as $stations) {
            $all->walk($stations, 1, [$stations[0]], [], []);
        }
        $paths = array_values($all->paths);
        usort($paths, static fn (Path $a, Path $b): int => $a->compare($b));

        return $paths;
    }

    /** @return \Generator<int, list<Box>> The boxes that must be there, without converters. */
    private function stations(): \Generator
    {
        $end = [...$this->request->controllers, $this->request->craft];
        $heads = [[]];
        foreach ($this->request->modules() as $module) {
            $heads[] = [$module];
        }
        foreach ($heads as $head) {
            foreach ($this->request->receivers() as $receiver) {
                yield from $this->complete([$this->request->handset, ...$head, $receiver, ...$end]);
                foreach ($this->request->allowRelay ? $this->request->modules() : [] as $second) {
                    foreach ($this->request->receivers() as $last) {
                        yield from $this->complete([$this->request->handset, ...$head, $receiver, $second, $last, ...$end]);
                    }
                }
            }
        }
    }

    /** @param  list<Box>  $stations */
    private function complete(array $stations): \Generator
    {
        $ids = array_map(static fn (Box $box): string => $box->id(), $stations);
        if (count(array_unique($ids)) === count($ids) && array_diff([...$this->request->mustModules, ...$this->request->mustReceivers], $ids) === []) {
            yield $stations;
        }
    }

    private function walk(array $stations, int $at, array $boxes, array $couplings, array $used): void
    {
        if ($at === count($stations)) {
            $this->take($boxes, $couplings);

            return;
        }
        [$from, $to] = [$boxes[count($boxes) - 1], $stations[$at]];
        if ($to instanceof Receiver) {
            $this->walk($stations, $at + 1, [...$boxes, $to], [...$couplings, $this->air->ways($from, $to)->all], $used);

            return;
        }
        $behindLast = array_filter(array_slice($stations, $at), fn (Box $box): bool => $box instanceof Receiver) === [];
        foreach ([0, 1, 2] as $count) {
            $ways = $count + count($used) > 2 ? [] : $this->ways($from, $to, $count, $used, $behindLast);
            foreach ($ways as [$more, $joints]) {
                $this->walk($stations, $at + 1, [...$boxes, ...$more, $to], [...$couplings, ...$joints], [...$used, ...$more]);
            }
            if ($ways !== []) {
                return;
            }
        }
    }

    private function ways(Box $from, Box $to, int $count, array $used, bool $inCraft): array
    {
        if ($count === 0) {
            $joints = $this->wires->ways($from, $to)->all;

            return $joints === [] ? [] : [[[], [$joints]]];
        }
        $ways = [];
        foreach ($this->request->converters() as $converter) {
            $joints = in_array($converter, $used, true) || ($inCraft && $this->isDestroyed($converter)) ? [] : $this->wires->ways($from, $converter)->all;
            foreach ($joints === [] ? [] : $this->ways($converter, $to, $count - 1, [...$used, $converter], $inCraft) as [$more, $rest]) {
                $ways[] = [[$converter, ...$more], [$joints, ...$rest]];
            }
        }

        return $ways;
    }

    private function isDestroyed(Box $box): bool
    {
        return PathRules::feed($box, $this->request->craft->feedsV)?->code === Code::P1;
    }

    private function take(array $boxes, array $couplings): void
    {
        $findings = [];
        $lastReceiver = max(array_keys(array_filter($boxes, fn (Box $box): bool => $box instanceof Receiver)));
        foreach ($boxes as $k => $box) {
            if ($box instanceof Receiver) {
                array_push($findings, ...PathRules::reserved($box, $this->request->functions, $this->request->channels));
            }
            $feed = $k >= $lastReceiver && $k < count($boxes) - 1 ? PathRules::feed($box, $this->request->craft->feedsV) : null;
            if ($feed?->code === Code::P1) {
                return;
            }
            if ($feed !== null) {
                $findings[] = $feed;
            }
        }
        $combinations = [[]];
        foreach ($couplings as $joints) {
            $longer = [];
            foreach ($combinations as $combination) {
                foreach ($joints as $joint) {
                    $longer[] = [...$combination, $joint];
                }
            }
            $combinations = $longer;
        }
        foreach ($combinations as $combination) {
            $path = new Path(new Joints($combination), Findings::of(...$findings));
            $key = implode(' ', $path->ids());
            if (! isset($this->paths[$key]) || $path->compare($this->paths[$key]) < 0) {
                $this->paths[$key] = $path;
            }
        }
    }
}
