<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Dance\ChannelKind;
use Linguator\Core\Dance\ChannelRead;
use Linguator\Core\Dance\Deduction;
use Linguator\Core\Dance\Move;
use Linguator\Core\Dance\Prompt;
use Linguator\Core\Dance\Signs;
use Linguator\Core\Document\Chosen;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\ReadingTaken;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Steps\Order\KeepOrderCheck;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Switches\SetSwitch;
use Linguator\Core\Steps\Switches\SwitchReview;
use Linguator\Core\Steps\Travel\Draft;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Steps\Travel\SetThresholds;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Steps\Travel\TravelState;
use Linguator\Core\Travel\Reading;

/**
 * A dance made for a rig: what it showed, and what of that would be written into which step, all of it or line by line. Thresholds are among it
 * once the throttle was read where it belongs: they follow from that reading, and are not taken without it.
 */
final readonly class RigDance
{
    private const THROTTLE = 'travel/T';

    public Deduction $deduction;

    private OrderReview $order;

    private ChannelLog $log;

    /** @var list<Move> */
    private array $script;

    /** @var list<Prompt>|null */
    private ?array $prompts;

    /**
     * @param  Node  $told  With `log` and `prompts`, as the verb `dance` takes them; the script is the rig's.
     * @param  bool  $isShort  The sticks only were asked for.
     *
     * @throws DocumentError at what is no log.
     */
    public function __construct(private RigDocument $rig, Node $told, bool $isShort = false)
    {
        $this->order = new OrderReview($rig);
        $this->script = (new DanceScript($rig, $isShort))->moves();
        $this->log = ChannelLog::fromNodes($told->nodes('log'));
        $this->prompts = Prompt::all($told, count($this->script));
        $this->deduction = new Deduction($this->log, $this->script, $this->prompts, $this->expected());
    }

    /**
     * What a stick that was found before says while another is asked for.
     *
     * @param  list<Node>  $known  Channels as the dance told them before.
     * @return \stdClass `sign` and `signs_with`, as screens get them.
     */
    public function signs(array $known): \stdClass
    {
        $prompt = array_slice($this->prompts ?? [], -1)[0] ?? null;
        if ($prompt === null) {
            return (object) ['sign' => null, 'signs_with' => null];
        }
        $signs = new Signs($known, $this->script[$prompt->move]->letter);

        return (object) ['sign' => $signs->said($this->log, $prompt->ms), 'signs_with' => $signs->words()];
    }

    /** @return list<DanceLine> What can be written. */
    public function lines(): array
    {
        return array_column($this->writings(), 'line');
    }

    /**
     * These lines are written, as one change.
     *
     * @param  list<string>  $keys
     * @param  string  $by  Who saw it.
     *
     * @throws DocumentError at a line that there is not.
     */
    public function taking(array $keys, string $by, Occasion $occasion): Deed
    {
        $writings = array_column(array_map(static fn (DanceWriting $writing): array => [$writing->line->key, $writing], $this->writings()), 1, 0);
        Chosen::mustBeAmong($keys, array_keys($writings));
        [$rig, $patch, $names] = [$this->rig, RigPatch::of([]), []];
        foreach ($keys as $k => $key) {
            $needs = $writings[$key]->line->needs;
            if ($needs !== null && ! in_array($needs, array_slice($keys, 0, $k), true)) {
                throw DocumentError::at("keys.$k", ucfirst($writings[$key]->line->name).' follow from the '.$writings[$needs]->line->name.': take that too, before them.', 'needs_other');
            }
            $done = $writings[$key]->by($by)->on($rig, $occasion)->patch;
            $patch = $patch->and($done);
            $rig = RigDocument::of($done->apply($rig->document)->document);
            $names[] = $writings[$key]->line->name;
        }

        return new Deed($patch, 'Danced: '.implode(', ', $names), EntryKind::Measurement);
    }

    /** @return list<DanceWriting> */
    private function writings(): array
    {
        $travel = array_values(array_filter(array_map($this->travel(...), Letter::cases())));
        $writings = [$this->orderCheck(), ...$travel, ...array_map($this->levels(...), $this->rig->switches()), $this->thresholds($travel)];

        return array_values(array_filter($writings));
    }

    /**
     * What the controller should take for low and full, once these readings are written; null: nothing follows, or it stands so already.
     *
     * @param  list<DanceWriting>  $travel
     */
    private function thresholds(array $travel): ?DanceWriting
    {
        $rig = $this->rig;
        foreach ($travel as $writing) {
            if ($writing->line->doubt === null) {
                $rig = RigDocument::of($writing->by('')->on($rig, new Occasion('', new Shelf(static fn (): null => null)))->patch->apply($rig->document)->document);
            }
        }
        $view = in_array(self::THROTTLE, array_map(static fn (DanceWriting $one): string => $one->line->key, $travel), true) ? (new TravelReview($rig))->thresholds() : null;
        $set = $view === null ? [] : array_filter(['low' => $view->suggested->low, 'high' => $view->suggested->high, 'deadband' => $view->suggested->deadband], static fn (?float $us, string $key): bool => $us !== null && $us !== $view->{$key}, ARRAY_FILTER_USE_BOTH);
        if ($view === null || $set === []) {
            return null;
        }
        $said = implode(', ', array_map(static fn (string $key, float $us): string => sprintf('%s %g µs', $key === 'deadband' ? 'dead band' : $key, $us), array_keys($set), $set));
        $line = new DanceLine('thresholds', 'travel', "thresholds of $view->controller", $said, null, needs: self::THROTTLE);

        return new DanceWriting($line, static fn (): Intent => SetThresholds::read(new Node((object) $set)));
    }

    /** The order in which the sticks arrive by the rig's record; null: the record is not right yet. */
    private function expected(): ?string
    {
        return $this->order->isRight() ? $this->order->trace?->arriving()->toString() : null;
    }

    private function orderCheck(): ?DanceWriting
    {
        [$danced, $expected] = [$this->deduction->order, $this->expected()];
        if ($danced === null || $expected === null) {
            return null;
        }
        $moved = array_combine(str_split($danced), str_split($expected));
        $writes = $danced === $expected ? 'proof: each stick moves what it should' : "a failed check: the sticks arrive as $danced, $expected is wanted";

        return new DanceWriting(new DanceLine('order', 'order', 'order', $writes, null, isProof: true), static fn (string $by): Intent => KeepOrderCheck::read(new Node((object) ['moved' => (object) $moved, 'by' => $by])));
    }

    private function travel(Letter $letter): ?DanceWriting
    {
        $read = $this->deduction->stick($letter);
        [$low, $high] = [$read?->low(), $read?->high()];
        $channel = $this->channelAtHandset($letter);
        if ($read === null || $low === null || $high === null || ! $low->isHeld || ! $high->isHeld || $channel === null) {
            return null;
        }
        [$lo, $mid, $hi] = [round($low->us, 1), round($read->mid ?? ($low->us + $high->us) / 2, 1), round($high->us, 1)];
        $isReversed = $read->isReversed() === true;
        $told = (object) (['channel' => $channel, 'noise_us' => round($read->noiseUs, 2), 'source' => 'dance'] + ($isReversed ? ['lo' => $hi, 'mid' => $mid, 'hi' => $lo, 'reversed' => true] : ['lo' => $lo, 'mid' => $mid, 'hi' => $hi]));
        $doubt = match (true) {
            $isReversed => 'Its values fell where the stick rose, or it was moved to the other end first. Take it only if you began with up or right.',
            $this->hasRate($channel) => 'A rate or expo is set on it, so its ends are not the whole way. Dance at full rate, or take it only if it was off.',
            default => null,
        };
        $said = sprintf('%g / %g / %g µs read', $lo, $mid, $hi).($isReversed ? ', falling' : '').$this->comesTo($channel, $isReversed ? Reading::falling($hi, $mid, $lo) : Reading::of($lo, $mid, $hi), $isReversed);
        $line = new DanceLine("travel/$letter->value", 'travel', "travel of {$letter->functionName()}", $said, $this->moveOf($read), $doubt);

        return new DanceWriting($line, static fn (): Intent => KeepReading::read(new Node($told)));
    }

    /** What such a reading says of settings that were entered since the last one: confirmed, or how far they are off. */
    private function comesTo(int $channel, Reading $reading, bool $isReversed): string
    {
        $row = (new TravelReview($this->rig))->row($channel);
        $now = (new ChannelRecord($this->rig, $channel))->now();
        if ($row === null || $now->reversed !== $isReversed || ! in_array($row->state(), [TravelState::Set, TravelState::Residue, TravelState::Confirmed], true)) {
            return '';
        }
        $read = (new TravelReview($this->rig, [$channel => new Draft(new ReadingTaken($reading, $now), false)]))->row($channel);

        return $read?->state() === TravelState::Confirmed ? ', as it should be: confirmed' : sprintf(', %g µs off still', round($read?->residueUs() ?? 0.0, 1));
    }

    private function hasRate(int $channel): bool
    {
        foreach ((new SwitchReview($this->rig))->rates() as $rate) {
            if ($rate->channel === $channel) {
                return ! $rate->isPlain();
            }
        }

        return false;
    }

    private function channelAtHandset(Letter $letter): ?int
    {
        foreach ((new TravelReview($this->rig))->rows as $row) {
            if ($row->function === $letter->functionName()) {
                return $row->channel;
            }
        }

        return null;
    }

    private function levels(SwitchSetting $setting): ?DanceWriting
    {
        foreach ($this->deduction->channels as $read) {
            $levels = $read->levels();
            if ($read->kind === ChannelKind::Switch && $levels !== null && $read->move?->id === $setting->switchId && $read->channel === $this->order->channelOf($setting->function)) {
                $us = array_map(static fn (float $one): float => round($one, 1), $levels);
                $line = new DanceLine("levels/$setting->function", 'switches', "levels of $setting->function", implode(' / ', array_map(static fn (float $one): string => sprintf('%g', $one), $us)).' µs read', $this->moveOf($read));

                return new DanceWriting($line, static fn (): Intent => SetSwitch::read(new Node((object) ['function' => $setting->function, 'levels_us' => $us])));
            }
        }

        return null;
    }

    private function moveOf(ChannelRead $read): ?int
    {
        foreach ($this->deduction->moves as $k => $move) {
            if ($move->way?->line->channel === $read->channel) {
                return $k;
            }
        }

        return null;
    }
}
