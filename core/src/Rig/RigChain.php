<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\ChannelTaker;
use Linguator\Core\Chain\JoinContext;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\Path;
use Linguator\Core\Chain\PathChoice;
use Linguator\Core\Chain\PathRules;
use Linguator\Core\Chain\Rearranging;
use Linguator\Core\Chain\Segment;
use Linguator\Core\Chain\Trace;
use Linguator\Core\Chain\WireJoiner;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Receiver;

/** A rig's own chain, joined box by box with the rules of `plan`. Of one rig there is one: `RigDocument::chain`. */
final readonly class RigChain
{
    /**
     * @param  list<Neighbours>  $couplings  From the handset on; none while there is no handset or no craft.
     * @param  Path|null  $path  Null while something does not join.
     */
    private function __construct(private RigDocument $rig, public array $couplings, public ?Path $path)
    {
    }

    public static function of(RigDocument $rig): self
    {
        $handset = $rig->boxes->handset();
        if ($handset === null || $rig->boxes->craft() === null) {
            return new self($rig, [], null);
        }
        $context = new JoinContext($rig->channels(), $handset, $rig->pack(), self::boundModes($rig));
        [$wires, $air] = [new WireJoiner($context), new AirJoiner($context)];
        $couplings = [];
        for ($k = 1; $k < count($rig->boxes); $k++) {
            $couplings[] = self::neighbours($rig, $rig->boxes->all[$k - 1], $rig->boxes->all[$k], $wires, $air);
        }

        return new self($rig, $couplings, self::path($rig, $couplings));
    }

    public function isChosen(): bool
    {
        return $this->couplings !== [];
    }

    public function joins(): bool
    {
        return $this->path !== null;
    }

    /** @return list<Joint> One for each coupling; none while something does not join. */
    public function joints(): array
    {
        return $this->path->joints->all ?? [];
    }

    public function findings(): Findings
    {
        return $this->withoutCured($this->path?->findings() ?? Findings::none());
    }

    /** A gap too short is mended where the unused channels are held, and that is enough (rule M2). */
    public function withoutCured(Findings $findings): Findings
    {
        $cured = [];
        foreach ($this->joints() as $joint) {
            if (RigTrain::of($this->rig, $joint)?->isCured() === true) {
                $cured[] = $joint->from->id();
            }
        }

        return $cured === [] ? $findings : $findings->where(static fn (Finding $finding): bool => $finding->code !== Code::M2 || ! in_array($finding->from, $cured, true));
    }

    /** What acts on the channels, or the labelled pins they come out of; null: not known, or nothing joins. */
    public function taker(): ?ChannelTaker
    {
        return $this->path === null ? null : ChannelTaker::of($this->path->joints, $this->rig->controllerOrder());
    }

    /** The way of every channel as this rig is set: read by its controller, where it has one whose order is known. */
    public function trace(): Trace
    {
        $modules = [];
        foreach ($this->rig->boxes as $position => $box) {
            if ($box instanceof Module && $box->expects !== null) {
                $modules[] = new Rearranging($box, $position, $this->rig->remapIsOn($box->id, $box->remapOn), $box->remapFor($this->sentBy($box, $position)));
            }
        }
        $controller = $this->rig->boxes->controller();

        return new Trace($this->rig->handsetOrder(), $controller === null ? null : $this->rig->controllerOrder() ?? $controller->order, $modules, count($this->rig->boxes));
    }

    /** The protocol a module speaks: that of its joint; while the chain does not join, the one recorded, else the first family that both ends know. */
    private function sentBy(Module $module, int $position): ?Protocol
    {
        $joint = $this->joints()[$position] ?? null;
        $receiver = $this->rig->boxes->at($position + 1);
        if ($joint !== null || ! $receiver instanceof Receiver) {
            return $joint?->sent;
        }
        $heard = array_map(static fn (Protocol $protocol): string => $protocol->family, $receiver->protocols);
        $shared = array_values(array_filter($module->radio->protocols, static fn (Protocol $protocol): bool => in_array($protocol->family, $heard, true)));

        return Protocol::named($this->rig->recordedVia($module->id, $receiver->id) ?? '', $shared) ?? $shared[0] ?? null;
    }

    /** @return array<string, string> Channel modes in which links are bound, by `from/to`. */
    private static function boundModes(RigDocument $rig): array
    {
        $modes = [];
        foreach ($rig->settings()->nodes('links') as $link) {
            $mode = $link->node('settings')?->textOrNull('channel_mode');
            if ($mode !== null) {
                $modes["{$link->text('from')}/{$link->text('to')}"] = $mode;
            }
        }

        return $modes;
    }

    private static function neighbours(RigDocument $rig, Box $from, Box $to, WireJoiner $wires, AirJoiner $air): Neighbours
    {
        $ways = $to instanceof Receiver ? $air->ways($from, $to) : $wires->ways($from, $to);
        if ($ways->areNone()) {
            $misfit = $to instanceof Receiver ? $air->nearestMisfit($from, $to) : $wires->nearestMisfit($from, $to);

            return new Neighbours($from, $to, $ways, $ways, $misfit->codes ?? [Code::M14]);
        }
        $via = $rig->recordedVia($from->id(), $to->id());
        $recorded = $ways->where(static fn (Joint $joint): bool => $joint->via === $via);

        return new Neighbours($from, $to, $ways, $recorded->areNone() ? $ways : $recorded, []);
    }

    /** @param  list<Neighbours>  $couplings */
    private static function path(RigDocument $rig, array $couplings): ?Path
    {
        $whole = Segment::start();
        $boxes = $rig->boxes;
        foreach ($couplings as $k => $neighbours) {
            if ($neighbours->recorded->areNone()) {
                return null;
            }
            $whole = $whole->to($neighbours->to, $neighbours->recorded, self::boxFindings($rig, $neighbours->to, $k + 1 >= ($boxes->lastReceiverAt() ?? PHP_INT_MAX)));
        }

        return $couplings === [] ? null : PathChoice::best($whole, null);
    }

    /** Those of a box itself: channels its link keeps, and what feeds it in the craft. */
    private static function boxFindings(RigDocument $rig, Box $box, bool $isInCraft): Findings
    {
        $craft = $rig->boxes->craft();
        $reserved = $box instanceof Receiver ? PathRules::reserved($box, $rig->functions(), $rig->channels()) : Findings::none();

        return $reserved->and($isInCraft && $box !== $craft ? PathRules::feed($box, $craft?->feedsV) : null);
    }
}
