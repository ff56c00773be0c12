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

    public static function of(PlanRequest $request): NearMiss
    {
        $search = new self($request);
        [$nearest, $least] = [null, null];
        foreach ($search->chains() as $chain) {
            $rank = [$search->weight($chain), count($chain)];
            if ($nearest === null || ($rank <=> $least ?: Path::compareIds($chain->ids(), $nearest->ids())) < 0) {
                [$nearest, $least] = [$chain, $rank];
            }
        }
        if ($nearest === null) {
            $ends = [$request->handset->id, $request->craft->id()];

            return new NearMiss($ends, [new Apart($ends[0], $ends[1], Code::M15)]);
        }

        return new NearMiss($nearest->ids(), $search->misses($nearest));
    }

    /** @return \Generator<int, Boxes> */
    private function chains(): \Generator
    {
        $behind = [...$this->request->controllers, $this->request->craft];
        foreach ($this->request->receivers() as $receiver) {
            if (array_diff($this->request->mustReceivers, [$receiver->id]) !== []) {
                continue;
            }
            if ($this->request->mustModules === []) {
                yield new Boxes([$this->request->handset, $receiver, ...$behind]);
            }
            foreach ($this->request->modules() as $module) {
                if (array_diff($this->request->mustModules, [$module->id]) === []) {
                    yield new Boxes([$this->request->handset, $module, $receiver, ...$behind]);
                }
            }
        }
    }

    private function weight(Boxes $chain): int
    {
        $weight = count($this->destroyed($chain));
        for ($k = 1; $k < count($chain); $k++) {
            $weight += $this->misfit($chain->all[$k - 1], $chain->all[$k])?->weight() ?? 0;
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
     * @return list<Box>
     */
    private function destroyed(Boxes $chain): array
    {
        return array_values(array_filter($chain->all, fn (Box $box): bool => $box !== $this->request->craft
            && ! $box instanceof Handset
            && PathRules::feed($box, $this->request->craft->feedsV)?->code === Code::P1));
    }

    /**
     * @return list<Apart>
     */
    private function misses(Boxes $chain): array
    {
        $misses = [];
        for ($k = 1; $k < count($chain); $k++) {
            foreach ($this->misfit($chain->all[$k - 1], $chain->all[$k])->codes ?? [] as $code) {
                $misses[] = new Apart($chain->all[$k - 1]->id(), $chain->all[$k]->id(), $code);
            }
        }
        foreach ($this->destroyed($chain) as $box) {
            $misses[] = new Apart($this->request->craft->id(), $box->id(), Code::P1);
        }

        return $misses;
    }
}
