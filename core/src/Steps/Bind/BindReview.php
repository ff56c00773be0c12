<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

use Linguator\Core\Bind\Attempt;
use Linguator\Core\Bind\Candidates;
use Linguator\Core\Bind\Combination;
use Linguator\Core\Bind\Ladder;
use Linguator\Core\Bind\Recipe;
use Linguator\Core\Bind\Rung;
use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Steps\Standing;

/** Binding, hop by hop: the recipe for exactly these two boxes, what was tried, what to try next, and whether it was proven. */
final class BindReview
{
    /** Families without a choice of channel modes are bound in this one. */
    private const NO_MODES = 'as it is';

    private const EIGHT = 8;

    /** @var list<Joint> The air links, from the handset on. */
    private readonly array $links;

    /** @var list<BindHop>|null */
    private ?array $hops = null;

    public function __construct(private readonly RigDocument $rig)
    {
        $this->links = array_values(array_filter($rig->chain()->joints(), static fn (Joint $joint): bool => $joint->isAir()));
    }

    public function isBound(): bool
    {
        return $this->links !== [] && array_filter($this->proofs(), static fn (CheckState $proof): bool => ! $proof->holds()) === [];
    }

    /** How many hops there are to bind. */
    public function count(): int
    {
        return count($this->links);
    }

    /** @return list<BindHop> */
    public function hops(): array
    {
        return $this->hops ??= array_map($this->hop(...), $this->links, array_keys($this->links));
    }

    /** The air link of a hop, from 1; null: there is none. */
    public function link(int $hop): ?Joint
    {
        return $this->links[$hop - 1] ?? null;
    }

    /** @throws DocumentError at `hop` if there is no such hop, from 1. */
    public function hopAt(int $number): BindHop
    {
        $link = $this->links[$number - 1] ?? throw DocumentError::at('hop', "Found hop $number; this rig has {$this->count()}.", 'no_such_hop');

        return $this->hop($link, $number - 1);
    }

    public function standing(): Standing
    {
        $reasons = array_merge(...array_map(static fn (CheckState $proof): array => $proof->reasons, $this->proofs()));

        return match (true) {
            ! $this->rig->chain()->joins() => Standing::open('Binding is known once the chain joins.'),
            $this->isBound() => Standing::done('Bound, and the light follows the handset.'),
            $reasons !== [] => Standing::attention('Bind again: '.implode(', ', $reasons).'.'),
            default => Standing::open('Bind, and see the light follow the handset.'),
        };
    }

    /** @return list<CheckState> One for each hop. */
    private function proofs(): array
    {
        return array_map(fn (int $k): CheckState => $this->proof($k + 1), array_keys($this->links));
    }

    /**
     * Whether the light was seen to follow, and binding again is not asked for: what a receiver stored while it was bound goes stale with the
     * settings it was stored with.
     *
     * @param  int  $hop  From 1.
     */
    public function proof(int $hop): CheckState
    {
        $proof = CheckState::of($this->rig, CheckKind::Bind, $hop);
        $loss = (new FailsafeReview($this->rig))->hops[$hop - 1] ?? null;
        $stale = $loss !== null && $loss->setBy() === SetBy::Bind ? $loss->setReasons() : [];

        return $proof->state === ProofState::Holds && $stale !== []
            ? CheckState::told(ProofState::Stale, $proof->at, $proof->by, $proof->observed, ['the failsafe stored at bind is stale: '.implode(', ', $stale)])
            : $proof;
    }

    private function hop(Joint $joint, int $k): BindHop
    {
        $receiver = $joint->to;
        assert($receiver instanceof Receiver);
        $candidates = $this->candidates($joint, $receiver);
        $attempts = $this->attempts($k + 1, $candidates);
        $ladder = Ladder::after($candidates, $attempts);
        $recipe = $this->recipe($joint, $receiver);
        $next = $ladder->next();

        return new BindHop(
            $k + 1,
            $joint->from->name(),
            $receiver->name,
            $recipe->steps(),
            $recipe->proof(),
            $this->proof($k + 1),
            $next === null ? null : new NextTry($next->variant, $next->channelMode, $next->region, Ladder::DISTANCE_M),
            $this->because($ladder, $attempts),
            array_map(static fn (Rung $rung): RungView => new RungView($rung->combination->variant, $rung->combination->channelMode, $rung->combination->region, round($rung->chance, 4), $rung->combination->minutes), $ladder->rungs),
            $ladder->expectedMinutes() === null ? null : round($ladder->expectedMinutes(), 1),
            self::names($candidates, static fn (Combination $c): string => $c->variant),
            self::names($candidates, static fn (Combination $c): string => $c->channelMode),
            array_values(array_filter(self::names($candidates, static fn (Combination $c): string => $c->region ?? ''), static fn (string $region): bool => $region !== '')),
            $this->told($k + 1),
        );
    }

    private function recipe(Joint $joint, Receiver $receiver): Recipe
    {
        $senderCard = $this->rig->card($joint->from->id())?->node();
        $traits = $joint->from instanceof Handset ? self::radioTraits($senderCard, $joint) : $senderCard?->node('bind');
        $card = $this->rig->card($receiver->id)?->node();

        return new Recipe(
            $joint->from->name(), $traits, $receiver->name, $card?->node('bind'), SettingNames::air($joint->via),
            in_array('bind', $card?->node('failsafe')?->texts('set_by') ?? [], true),
            $this->rig->motorOffAtCentre(),
        );
    }

    private static function radioTraits(?Node $handset, Joint $joint): ?Node
    {
        foreach ($handset?->nodes('radios') ?? [] as $radio) {
            if ($radio->text('id') === ($joint->link['radio'] ?? null)) {
                return $radio->node('bind');
            }
        }

        return null;
    }

    /** What both ends can do and the path needs, what the path takes first. */
    private function candidates(Joint $joint, Receiver $receiver): Candidates
    {
        $family = $joint->sent->family ?? '';
        $heard = array_values(array_filter($receiver->protocols, static fn (Protocol $protocol): bool => $protocol->family === $family));
        $takes = array_map(static fn (Protocol $protocol): ?string => $protocol->variant, $heard);
        $takesAny = in_array(null, $takes, true) || in_array(Candidates::AUTO, $takes, true);
        [$variants, $modes, $regions] = [[], [], []];
        foreach (AirJoiner::radiosOf($joint->from) as $radio) {
            foreach ($radio->protocols as $sent) {
                $isMeant = $sent->family === $family && ($sent->variant === null || $sent->variant === Candidates::AUTO || $takesAny || in_array($sent->variant, $takes, true));
                if ($isMeant) {
                    array_push($variants, ...array_filter([$sent->variant], is_string(...)));
                    array_push($modes, ...($sent->modes ?? []));
                    $regions[] = $sent->region;
                }
            }
        }
        $variants = $variants === [] ? array_filter($takes, is_string(...)) : $variants;
        $regions = array_filter([...$regions, ...array_map(static fn (Protocol $protocol): ?string => $protocol->region, $heard)], is_string(...));
        $variants = self::first($variants, self::automaticFirst($variants, $joint->sent?->variant));
        $modes = self::first($this->carried($modes, $receiver), array_filter([(string) ($joint->link['channel_mode'] ?? '')]));

        return new Candidates(
            $variants === [] ? [$family] : $variants,
            $modes === [] ? [self::NO_MODES] : $modes,
            array_values(array_unique($regions)),
            [],
            array_filter($heard, static fn (Protocol $protocol): bool => $protocol->refusesAuto) !== [],
            $joint->sent->region ?? $joint->heard?->region,
        );
    }

    /**
     * Detection first, where there is one, then what the path takes.
     *
     * @param  array<string>  $variants
     * @return list<string>
     */
    private static function automaticFirst(array $variants, ?string $taken): array
    {
        return array_values(array_filter([in_array(Candidates::AUTO, $variants, true) ? Candidates::AUTO : null, $taken], is_string(...)));
    }

    /**
     * Channel modes that the receiver takes and that carry what is asked for.
     *
     * @param  list<string>  $modes
     * @return list<string>
     */
    private function carried(array $modes, Receiver $receiver): array
    {
        $enough = $this->rig->channels() <= self::EIGHT ? $modes : array_diff($modes, ['1-8']);
        $taken = $receiver->channelModes === null ? $enough : array_intersect($enough, $receiver->channelModes);

        return array_values($taken);
    }

    /**
     * Each once, these in front.
     *
     * @param  array<string>  $all
     * @param  array<string>  $front
     * @return list<string>
     */
    private static function first(array $all, array $front): array
    {
        return array_values(array_unique([...array_intersect($front, $all), ...$all]));
    }

    /** @return list<Attempt> Those of this hop that name something still on the list. */
    private function attempts(int $hop, Candidates $candidates): array
    {
        $attempts = [];
        foreach ($this->rig->node()->nodes('attempts') as $entry) {
            if (($entry->intOrNull('hop') ?? 1) === $hop) {
                $attempts[] = new Attempt($entry->text('variant'), $entry->text('channel_mode'), $entry->textOrNull('region') ?? $candidates->onlyRegion(), $entry->number('distance_m'), $entry->flag('bound'));
            }
        }

        return $attempts;
    }

    /** @return list<\stdClass> The attempts of a hop as they were logged, newest first. */
    private function told(int $hop): array
    {
        $told = [];
        foreach ($this->rig->node()->nodes('attempts') as $entry) {
            if (($entry->intOrNull('hop') ?? 1) === $hop) {
                $told[] = $entry->value;
            }
        }

        return array_reverse($told);
    }

    /** @param  list<Attempt>  $attempts */
    private function because(Ladder $ladder, array $attempts): string
    {
        $last = $attempts === [] ? null : $attempts[count($attempts) - 1];
        $next = $ladder->next();

        return match (true) {
            $next === null => 'Everything possible was tried and failed: look for a wrong firmware generation, a damaged antenna, or a receiver that is not in bind mode.',
            $last !== null && $last->bound => 'This is what bound last time.',
            $ladder->isRepeat() => sprintf('%g m is too close: repeat at 2 m before changing anything else.', $last->distanceM ?? 0),
            $next->variant === Candidates::AUTO => 'Detection works most of the time and takes two minutes.',
            default => sprintf('The best chance for its time: %.0f %% in %g minutes.', $ladder->rungs[0]->chance * 100, $next->minutes),
        };
    }

    /**
     * @param  callable(Combination): string  $of
     * @return list<string>
     */
    private static function names(Candidates $candidates, callable $of): array
    {
        return array_values(array_unique(array_map($of, $candidates->combinations())));
    }
}
