<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Chain\Trace;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\InputLoss;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\RigDocument;

/** The chain of a rig as it really is, ready to be run: what each box makes of what it gets, and how it goes on from there. */
final readonly class Circuit
{
    /** An ambiguous train: so much more than at rest, all pulses together, and its gap is taken for a pulse (µs). */
    private const TRAIN_ROOM_US = 1300.0;

    private HandsetOutput $handset;

    public FailsafeReview $losses;

    private Trace $trace;

    private Trace $planned;

    /** @var list<float> What leaves the handset while it rests, µs. */
    private array $atRest;

    /** @param  list<Way>  $ways  From box k to box k + 1. */
    private function __construct(public World $world, private array $ways)
    {
        $this->handset = new HandsetOutput($world);
        $this->losses = new FailsafeReview($world->rig);
        $this->trace = $world->rig->chain()->trace();
        $this->planned = $world->planned === $world->rig ? $this->trace : $world->planned->chain()->trace();
        $this->atRest = $this->handset->at(Controls::resting());
    }

    /** @throws DocumentError below `rig`, where the chain or what is recorded of it is not enough to run. */
    public static function of(World $world, Formats $formats): self
    {
        $rig = $world->rig;
        if ($rig->boxes->handset() === null || count($rig->boxes) < 2) {
            throw DocumentError::at('rig.chain', count($rig->boxes) === 0 ? 'Found an empty chain; expected one from a handset to a craft.' : 'Found '.count($rig->boxes).' boxes; expected a chain that begins with a handset and leads somewhere.', 'no_chain');
        }
        $unknown = $rig->chain()->trace()->unknown();
        if ($unknown !== null) {
            throw DocumentError::at('rig.chain.'.$rig->boxes->positionOf($unknown).'.remap', "It is not known in which order $unknown->name sends; expected it on its card.", 'not_known');
        }
        $ways = [];
        for ($k = 1; $k < count($rig->boxes); $k++) {
            $ways[] = self::joined($world, $rig->boxes->all[$k - 1], $rig->boxes->all[$k], $formats);
        }

        return new self($world, $ways);
    }

    /** @param  list<int>  $lost  Hops whose link is down, from 1. */
    public function run(Controls $controls, array $lost = []): Run
    {
        $us = $this->handset->at($controls);
        $into = [];
        $sent = [];
        $linked = [];
        $came = new Carried($us, $us);
        foreach ($this->rig()->boxes as $position => $box) {
            $into[$position] = $came;
            $hop = $box instanceof Receiver ? $this->hopAt($position) : null;
            if ($hop !== null) {
                $linked[$hop->number] = $this->hears($hop, $came, $lost);
            }
            $out = $this->puts($box, $position, $came, $hop, $linked);
            if ($position < count($this->ways)) {
                $sent[$position] = $out = $this->limited($out, $this->ways[$position]);
                $came = $this->arrived($out, $this->ways[$position]);
            }
        }

        return new Run($this, $into, $sent, $linked, $lost);
    }

    public function rig(): RigDocument
    {
        return $this->world->rig;
    }

    /** Where the channels are read: the controller that acts on them, else the end of the chain. */
    public function readerAt(): int
    {
        $controller = $this->rig()->boxes->controller();

        return $controller === null ? count($this->rig()->boxes) - 1 : (int) $this->rig()->boxes->positionOf($controller);
    }

    /** The pins from which the reader gets every channel by itself; null: they come on one wire, or through the air. */
    public function readerPins(): ?OutputPort
    {
        $way = $this->way($this->readerAt() - 1);

        return $way instanceof WireWay && $way->isPwm() ? $way->output : null;
    }

    /** Whether a controller reads all channels from one wire. */
    public function isControllerOnOneWire(): bool
    {
        return $this->rig()->boxes->controller() !== null && $this->way($this->readerAt() - 1) instanceof WireWay && $this->readerPins() === null;
    }

    /** How values go on from the box at this position. */
    public function way(int $position): ?Way
    {
        return $this->ways[$position] ?? null;
    }

    /** Where everything arrives as it is planned: there the plugs sit. */
    public function planned(): Trace
    {
        return $this->planned;
    }

    public function trace(): Trace
    {
        return $this->trace;
    }

    /** @throws DocumentError at `rig.settings.links`. */
    private static function joined(World $world, Box $from, Box $to, Formats $formats): Way
    {
        $link = self::link($world->rig, $from, $to);
        if ($to instanceof Receiver) {
            return AirWay::of($from, $to, $link, $world->rig->settings()->textOrNull('channel_mode'), $world->rig->handset()->scale());
        }
        $wire = WireWay::of($from, $to, $link, $formats);

        return $to instanceof Controller && $world->has(Oddity::LineFlipped) ? $wire->flipped() : $wire;
    }

    /** @throws DocumentError */
    private static function link(RigDocument $rig, Box $from, Box $to): Node
    {
        foreach ($rig->settings()->nodes('links') as $link) {
            if ($link->text('from') === $from->id() && $link->text('to') === $to->id()) {
                return $link;
            }
        }
        throw DocumentError::at('rig.settings.links', "Nothing is recorded of how {$from->name()} and {$to->name()} are joined; expected an entry from \"{$from->id()}\" to \"{$to->id()}\".", 'no_link');
    }

    private function hopAt(int $position): ?FailsafeHop
    {
        foreach ($this->losses->hops as $hop) {
            if ($this->rig()->boxes->receiverAt($hop->number) === $position) {
                return $hop;
            }
        }

        return null;
    }

    /** @param  list<int>  $lost */
    private function hears(FailsafeHop $hop, Carried $came, array $lost): bool
    {
        // A module that goes on by itself is still heard where the handset is off.
        $isLost = in_array($hop->number, $lost, true) && ! $hop->goesOnSending();

        return ! $isLost && $came->isSilent !== true && $this->world->troubles($hop->number) === [] && $this->world->feed($hop->receiver()->id) !== Feed::None;
    }

    /** @param  array<int, bool>  $linked  By hop. */
    private function puts(Box $box, int $position, Carried $came, ?FailsafeHop $hop, array $linked): Carried
    {
        if ($this->world->feed($box->id()) === Feed::None) {
            return $came->never();
        }
        $out = match (true) {
            $box instanceof Module => $this->fromModule($box, $position, $came),
            $box instanceof Converter, $box instanceof Controller => $this->goingOn($box, $came),
            $hop !== null => $this->fromReceiver($hop, $came, $linked[$hop->number]),
            default => $came,
        };

        return $this->isUnsent($position) ? $out->never() : $out;
    }

    /** Whether the radio at this position is the one that should send, and does not. */
    private function isUnsent(int $position): bool
    {
        $hop = $this->hopAt($position + 1);

        return $hop !== null && in_array(LinkTrouble::Unsent, $this->world->troubles($hop->number), true);
    }

    private function fromModule(Module $module, int $position, Carried $came): Carried
    {
        if ($position === 1 && $this->world->has(Oddity::OtherBayFormat)) {
            return $came->never();
        }
        $remap = $this->rearranging($module);
        $out = $this->goingOn($module, $came);

        return $remap === null ? $out : $out->each(static function (array $us) use ($remap): array {
            $out = $us;
            foreach ([1, 2, 3, 4] as $channel) {
                if (isset($us[$channel - 1]) && isset($out[$remap->channelAfter($channel) - 1])) {
                    $out[$remap->channelAfter($channel) - 1] = $us[$channel - 1];
                }
            }

            return array_values($out);
        });
    }

    private function rearranging(Module $module): ?Remap
    {
        foreach ($this->trace->modules as $entry) {
            if ($entry->module === $module && $entry->isOn) {
                return $entry->remap;
            }
        }

        return null;
    }

    /** What a box makes of a silent input, as its card says. */
    private function goingOn(Box $box, Carried $came): Carried
    {
        return $came->isSilent !== true ? $came : match (InputLoss::of($this->rig(), $box)) {
            InputLoss::Stops => $came->stopped(),
            InputLoss::Holds => $came->held(),
            null => $came->held(null),
        };
    }

    private function fromReceiver(FailsafeHop $hop, Carried $came, bool $isLinked): Carried
    {
        $out = match (true) {
            $isLinked => $came,
            ! $came->everCame || $this->world->troubles($hop->number) !== [] => $came->never(),
            default => match ($hop->mode()) {
                FailsafeMode::None => $came->stopped(),
                FailsafeMode::Stored => $came->replaced(self::stored($hop, $came->last)),
                FailsafeMode::Flag => $came->flagged(),
                FailsafeMode::Hold => $came->held(),
                null => $came->held(null),
            },
        };
        $dropped = $hop->next === null ? $this->world->droppedChannel : null;

        return $dropped === null ? $out : $out->each(fn (array $us): array => array_values(array_replace($us, isset($us[$dropped - 1]) ? [$dropped - 1 => $this->rig()->handset()->scale()->centre] : [])));
    }

    /**
     * A channel for which nothing is stored holds.
     *
     * @param  list<float>  $last
     * @return list<float>
     */
    private static function stored(FailsafeHop $hop, array $last): array
    {
        $stored = $hop->storedUs() ?? [];

        return array_map(static fn (float $held, int $k): float => $stored[$k] ?? $held, $last, array_keys($last));
    }

    private function limited(Carried $out, Way $way): Carried
    {
        $most = $way->channels();

        return $most === null ? $out : $out->each(static fn (array $us): array => array_slice($us, 0, $most));
    }

    private function arrived(Carried $sent, Way $way): Carried
    {
        $arrived = $sent->each($way->carry(...));
        if ($way instanceof WireWay && $way->isTrain() && $this->world->has(Oddity::TrainAmbiguous)) {
            $arrived = $arrived->each($this->takenForGap(...));
        }

        return $way instanceof WireWay && $way->carriesFlag() ? $arrived : $arrived->unflagged();
    }

    /**
     * Where all pulses together leave no room for the gap, the reader takes the longest pulse for it and counts on from there.
     *
     * @param  list<float>  $us
     * @return list<float>
     */
    private function takenForGap(array $us): array
    {
        if ($us === [] || array_sum($us) <= array_sum(array_slice($this->atRest, 0, count($us))) + self::TRAIN_ROOM_US) {
            return $us;
        }
        $longest = (int) array_search(max($us), $us, true) + 1;

        return [...array_slice($us, $longest), ...array_slice($us, 0, $longest)];
    }
}
