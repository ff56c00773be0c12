<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** Faults put into a rig, one upon the other. */
final readonly class Faults
{
    private Circuit $planned;

    /** The craft at rest, as it is planned. */
    private Craft $craft;

    /** @throws DocumentError below `rig`, where the chain cannot be run. */
    public function __construct(private RigDocument $rig, Formats $formats)
    {
        $this->planned = Circuit::of(World::of($rig), $formats);
        $this->craft = new Craft($this->planned->run(Controls::resting()));
    }

    /**
     * @param  list<Node>  $told  As verbs have them.
     *
     * @throws DocumentError at `faults.k.cause` for one that there is not, or that this rig cannot have.
     */
    public static function in(RigDocument $rig, array $told, Formats $formats): World
    {
        $world = World::of($rig);
        $faults = $told === [] ? null : new self($rig, $formats);
        foreach ($told as $k => $entry) {
            $fault = Fault::fromNode($entry, "faults.$k");
            try {
                $world = $faults?->put($world, $fault) ?? $world;
            } catch (NotHere $why) {
                throw DocumentError::at("faults.$k.cause", "This rig cannot have $fault->cause: {$why->getMessage()}", 'not_here');
            }
        }

        return $world;
    }

    /** @throws NotHere with the reason. */
    public function put(World $world, Fault $fault): World
    {
        $concerned = new Concerned($this->planned, $this->craft, $fault);

        return match ($fault->does) {
            Change::Unfed, Change::OtherRadio, Change::OtherBayFormat, Change::OtherMemory, Change::Parted, Change::Sag,
            Change::PlugTurned, Change::WireBroken, Change::AntennaDamaged, Change::ReachShort => (new LinkFaults($world, $fault, $concerned))->put(),
            Change::OtherFormat, Change::LineFlipped, Change::OtherPort, Change::TrainAmbiguous, Change::ReaderTooSlow,
            Change::OtherOrder, Change::RemapTurned, Change::Interlocked, Change::ChannelKept => (new ReadingFaults($world, $fault, $concerned))->put(),
            Change::Holds, Change::StoredStale, Change::FirstHolds => (new LossFaults($world, $fault, $concerned))->put(),
            default => (new HandsetFaults($world, $fault, $concerned))->put(),
        };
    }

    /** Why this rig cannot have it; null: it can. */
    public function refusal(string $cause): ?string
    {
        $fault = Fault::tryOf($cause);
        if ($fault === null) {
            return 'It cannot be shown on a bench.';
        }
        try {
            $this->put(World::of($this->rig), $fault);
        } catch (NotHere $why) {
            return $why->getMessage();
        }

        return null;
    }

    /** @return list<string> Causes that this rig cannot have. */
    public function impossible(): array
    {
        return array_values(array_filter(Fault::causes(), fn (string $cause): bool => $this->refusal($cause) !== null));
    }
}
