<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\NotHere;
use Linguator\Core\DryBench\Probe;
use Linguator\Core\DryBench\World;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** A rig with a fault hidden in it by a seed: the same seed, rig and level hide the same. */
final readonly class Game
{
    /** @var list<string> Causes that this rig cannot have: whoever plays may rule them out. */
    public array $impossible;

    /**
     * @param  Probe  $planned  Of the rig without any fault.
     * @param  list<string>  $hidden
     */
    private function __construct(public RigDocument $rig, private Formats $formats, private Faults $faults, private Probe $planned, public array $hidden)
    {
        $this->impossible = $faults->impossible();
    }

    /**
     * @param  string  $seed  Anything that can be told to somebody else.
     * @param  bool  $isKnownSound  Its record was looked through when the game began.
     *
     * @throws DocumentError below `rig`, where it cannot be run, or where its own record has a fault already.
     */
    public static function draw(RigDocument $rig, string $seed, Level $level, Formats $formats, bool $isKnownSound = false): self
    {
        $planned = new Probe($rig, World::of($rig), $formats);
        if (! $isKnownSound) {
            self::refuseUnsound($planned);
        }
        $faults = new Faults($rig, $formats);
        $open = array_values(array_diff(Fault::causes(), $faults->impossible()));
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(crc32("$level->value/$seed")));
        foreach ($random->shuffleArray($open) as $cause) {
            if (self::suits($cause, $level)) {
                $first ??= $cause;
                if ($level->faults() === 1) {
                    return new self($rig, $formats, $faults, $planned, [$first]);
                }
                if ($cause !== $first && self::canBeFoundBeside($faults, $rig, $first, $cause)) {
                    return new self($rig, $formats, $faults, $planned, [$first, $cause]);
                }
            }
        }
        throw DocumentError::at('rig', 'This rig can have no fault of this level.', 'not_here');
    }

    /** @throws DocumentError at `rig`. */
    private static function refuseUnsound(Probe $planned): void
    {
        foreach ($planned->tests() as $id) {
            $test = Knowledge::shipped()->tests[$id];
            $seen = $planned->make($id);
            if ($seen->outcome !== $test->sound) {
                throw DocumentError::at('rig', "Its own record has a fault already: $test->asks $seen->seen Mend it first, or take another rig.", 'unsound');
            }
        }
    }

    private static function suits(string $cause, Level $level): bool
    {
        $isSubtle = Fault::tryOf($cause)?->measure->textOrNull('level') === Level::Subtle->value;

        return $level === Level::Two || $isSubtle === ($level === Level::Subtle);
    }

    /** Both must show at once: the second is not hidden by the first for good, nor the same at heart. */
    private static function canBeFoundBeside(Faults $faults, RigDocument $rig, string $first, string $second): bool
    {
        [$a, $b] = [Fault::tryOf($first), Fault::tryOf($second)];
        try {
            if ($a === null || $b === null || $a->does === $b->does) {
                return false;
            }
            $faults->put($faults->put(World::of($rig), $a), $b);
        } catch (NotHere) {
            return false;
        }

        return true;
    }

    /** @param  list<string>  $mended  What of it is mended already. */
    public function probe(array $mended = []): Probe
    {
        return new Probe($this->rig, $this->world($mended), $this->formats);
    }

    /** @param  list<string>  $mended */
    public function world(array $mended = []): World
    {
        $world = World::of($this->rig);
        foreach (array_diff($this->hidden, $mended) as $cause) {
            $fault = Fault::tryOf($cause);
            assert($fault !== null);
            $world = $this->faults->put($world, $fault);
        }

        return $world;
    }

    /** @param  list<string>  $mended */
    public function complaint(array $mended = []): Complaint
    {
        return Complaint::of($this->planned, $this->probe($mended));
    }

    /**
     * What the complaint tells already.
     *
     * @param  list<string>  $mended
     * @return list<Observation>
     */
    public function complained(array $mended = []): array
    {
        $complaint = $this->complaint($mended);

        return $complaint->test === null || $complaint->outcome === null ? [] : [new Observation($complaint->test, $complaint->outcome)];
    }

    /** @return list<FaultTest> Tests that can be made on this rig. */
    public function tests(): array
    {
        return array_map(static fn (string $id): FaultTest => Knowledge::shipped()->tests[$id], $this->planned->tests());
    }

    /** @return array<string, Setting> Settings that this rig has, by id: whether one of them is wrong does not show. */
    public function settings(): array
    {
        return array_filter(Setting::all(), fn (Setting $setting): bool => array_diff($setting->mends, $this->impossible) !== []);
    }

    /**
     * What can be made of what was seen: with what cannot be tested on this rig left out.
     *
     * @param  list<Observation>  $seen
     * @param  list<string>  $mended
     */
    public function diagnosis(array $seen, array $mended = []): Diagnosis
    {
        $cannot = array_map(static fn (string $id): Observation => new Observation($id, Observation::CANNOT_DO), array_values(array_diff(array_map(strval(...), array_keys(Knowledge::shipped()->tests)), $this->planned->tests())));

        return new Diagnosis(Knowledge::shipped(), [...$cannot, ...$seen], Probe::partsOf($this->rig), true, $mended, $this->impossible);
    }
}
