<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Receiver;

/** When nothing joins: the plain chain (no converter, no relay) that comes nearest, and what keeps it apart. */
final class NearestMiss
{
    private readonly WireJoiner $wires;

    private readonly AirJoiner $air;

    /** @var array<string, Misfit|null> */
    private array $memo = [];

    private function __construct(private readonly PlanRequest $request)
    {
        $this->wires = new WireJoiner($request->context());
        $this->air = new AirJoiner($request->context());
    }

    /** @return array{boxes: list<string>, misses: list<array{from: string, to: string, code: string}>} */
    public static function of(PlanRequest $request): array
    {
        $search = new self($request);
        $best = null;
        foreach ($search->chains() as $chain) {
            $rank = [$search->weight($chain), count($chain)];
            $ids = array_map(static fn (Box $box): string => $box->id(), $chain);
            if ($best === null || ($rank <=> $best['rank'] ?: Path::compareIds($ids, $best['ids'])) < 0) {
                $best = ['rank' => $rank, 'ids' => $ids, 'chain' => $chain];
            }
        }
        if ($best === null) {
            $ends = [$request->handset->id, $request->craft->id()];

            return ['boxes' => $ends, 'misses' => [['from' => $ends[0], 'to' => $ends[1], 'code' => Code::M15->value]]];
        }

        return ['boxes' => $best['ids'], 'misses' => $search->misses($best['chain'])];
    }

    /** @return \Generator<int, list<Box>> */
    private function chains(): \Generator
    {
        $behind = [...$this->request->controllers, $this->request->craft];
        foreach ($this->request->receivers() as $receiver) {
            if (array_diff($this->request->mustReceivers, [$receiver->id]) !== []) {
                continue;
            }
            if ($this->request->mustModules === []) {
                yield [$this->request->handset, $receiver, ...$behind];
            }
            foreach ($this->request->modules() as $module) {
                if (array_diff($this->request->mustModules, [$module->id]) === []) {
                    yield [$this->request->handset, $module, $receiver, ...$behind];
                }
            }
        }
    }

    /** @param  list<Box>  $chain */
    private function weight(array $chain): int
    {
        $weight = count($this->destroyed($chain));
        for ($k = 1; $k < count($chain); $k++) {
            $weight += $this->misfit($chain[$k - 1], $chain[$k])?->weight() ?? 0;
        }

        return $weight;
    }

    private function misfit(Box $from, Box $to): ?Misfit
    {
        $key = $from->id()."\0".$to->id();
        if (! array_key_exists($key, $this->memo)) {
            $this->memo[$key] = $to instanceof Receiver
                ? $this->air->nearestMisfit($from, $to)
                : $this->wires->nearestMisfit($from, $to);
        }

        return $this->memo[$key];
    }

    /**
     * Boxes the craft's own supply would destroy.
     *
     * @param  list<Box>  $chain
     * @return list<Box>
     */
    private function destroyed(array $chain): array
    {
        return array_values(array_filter($chain, fn (Box $box): bool => $box !== $this->request->craft
            && ! $box instanceof Handset
            && PathRules::feed($box, $this->request->craft->feedsV)?->code === Code::P1));
    }

    /**
     * @param  list<Box>  $chain
     * @return list<array{from: string, to: string, code: string}>
     */
    private function misses(array $chain): array
    {
        $misses = [];
        for ($k = 1; $k < count($chain); $k++) {
            foreach ($this->misfit($chain[$k - 1], $chain[$k])->codes ?? [] as $code) {
                $misses[] = ['from' => $chain[$k - 1]->id(), 'to' => $chain[$k]->id(), 'code' => $code->value];
            }
        }
        foreach ($this->destroyed($chain) as $box) {
            $misses[] = ['from' => $this->request->craft->id(), 'to' => $box->id(), 'code' => Code::P1->value];
        }

        return $misses;
    }
}
