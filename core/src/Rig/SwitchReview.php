<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\Assignment;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Switching\StickCurve;
use Linguator\Core\Switching\SwitchLevels;
use Linguator\Core\Switching\Window;
use Linguator\Core\Switching\WindowCheck;

/**
 * Switches, the channels they ride on, the windows the controller has for them, and rates and expo of the sticks.
 *
 * @phpstan-type SwitchRow array{position: int, function: string, channel: int, handset_says: string, controller_says: string, switch: string|null,
 *   is_slider: bool, spring: bool, weight: float, offset: float, curve: list<float>|null, power_up: int, measured: bool,
 *   levels: list<array{position: int, pct: float, us: float}>, windows: list<array<string, mixed>>}
 * @phpstan-type RateRow array{channel: int, function: string, rate_pct: float, low_rate_pct: float|null, expo_pct: float, throw_us: float,
 *   low_throw_us: float|null, centre_gain: float, curve: list<array{stick_pct: float, out_pct: float, us: float}>,
 *   low_curve: list<array{stick_pct: float, out_pct: float, us: float}>|null}
 */
final readonly class SwitchReview
{
    private const SLIDER_POSITIONS = 3;

    private const USUAL_POSITIONS = 2;

    private HandsetCard $card;

    private TravelContext $context;

    public function __construct(private RigDocument $rig, private ChainReview $chain)
    {
        $this->card = new HandsetCard($rig);
        $this->context = new TravelContext($rig);
    }

    public function isAssigned(): bool
    {
        return $this->rig->settings()->nodes('switches') !== [];
    }

    /** @return list<string> Functions beyond the sticks and servos for which no switch is chosen yet. */
    public function unassigned(): array
    {
        $assigned = array_map(static fn (Node $entry): string => $entry->text('function'), $this->rig->settings()->nodes('switches'));
        $waiting = [];
        foreach ($this->rig->functions() ?? [] as ['function' => $function]) {
            if (! in_array($function, [...$assigned, ...$this->context->channels()], true)) {
                $waiting[] = $function;
            }
        }

        return $waiting;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $findings = $this->channelFindings();
        foreach ($this->rig->settings()->nodes('switches') as $entry) {
            foreach ($this->checks($entry) as $check) {
                array_push($findings, ...$check->findings());
            }
        }

        return $findings;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'rows' => $this->rows(),
            'unassigned' => $this->unassigned(),
            'handset_switches' => $this->card->switches(),
            'findings' => Finding::listToArray($this->channelFindings()),
            'proposal' => $this->proposal(),
            'loose_windows' => $this->looseWindows(),
            'rates' => $this->rates(),
            'controller' => $this->context->reader()?->name,
            'scale' => ['centre' => $this->card->scale()->centre, 'us_per_100' => $this->card->scale()->usPer100, 'max_pct' => $this->card->maxPct()],
        ];
    }

    /** @return list<SwitchRow> */
    public function rows(): array
    {
        $entries = $this->rig->settings()->nodes('switches');

        return array_map($this->row(...), array_keys($entries), $entries);
    }

    /** @return SwitchRow */
    private function row(int $position, Node $entry): array
    {
        $channel = $entry->int('channel');
        $levels = $this->levels($entry);

        return [
            'position' => $position,
            'function' => $entry->text('function'),
            'channel' => $channel,
            'handset_says' => $channel >= $this->card->auxFrom() ? 'auxiliary '.($channel - $this->card->auxFrom() + 1) : "channel $channel",
            'controller_says' => $channel > 4 ? 'auxiliary '.($channel - 4) : "channel $channel",
            'switch' => $entry->textOrNull('switch'),
            'is_slider' => $this->isSlider($entry),
            'spring' => $this->card->switch($entry->textOrNull('switch') ?? '')['spring'] ?? false,
            'weight' => $entry->number('weight', 100.0),
            'offset' => $entry->number('offset', 0.0),
            'curve' => $entry->numbersOrNull('curve'),
            'power_up' => $entry->intOrNull('power_up') ?? 1,
            'measured' => $entry->numbersOrNull('levels_us') !== null,
            'levels' => $levels->levels,
            'windows' => $this->windowsOf($entry),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function windowsOf(Node $entry): array
    {
        $windows = [];
        foreach ($this->windows($entry->int('channel')) as $position => $window) {
            $windows[] = ['position' => $position, 'lo' => $window->lo, 'hi' => $window->hi, 'wanted' => $window->wanted] + $this->check($entry, $window)->toArray();
        }

        return $windows;
    }

    /** @return array<int, Window> Windows on a channel, by their position in the document. */
    private function windows(int $channel): array
    {
        $windows = [];
        foreach ($this->rig->settings()->nodes('windows') as $position => $window) {
            if ($window->int('channel') === $channel) {
                $windows[$position] = new Window($window->text('name'), $window->number('lo'), $window->number('hi'), array_map(intval(...), $window->numbersOrNull('wanted') ?? []));
            }
        }

        return $windows;
    }

    /** @return list<WindowCheck> */
    private function checks(Node $entry): array
    {
        return array_values(array_map(fn (Window $window): WindowCheck => $this->check($entry, $window), $this->windows($entry->int('channel'))));
    }

    private function check(Node $entry, Window $window): WindowCheck
    {
        $levels = $this->levels($entry);
        $wanted = array_values(array_filter($window->wanted, static fn (int $position): bool => $position <= $levels->count()));

        return new WindowCheck(
            $levels,
            new Window($window->name, $window->lo, $window->hi, $wanted),
            min($levels->count(), $entry->intOrNull('power_up') ?? 1),
            $this->storedFailsafe($entry->int('channel')),
            $this->card->switch($entry->textOrNull('switch') ?? '')['spring'] ?? false,
        );
    }

    private function levels(Node $entry): SwitchLevels
    {
        $measured = $entry->numbersOrNull('levels_us') ?? [];
        if ($measured !== []) {
            return SwitchLevels::measured($this->card->scale(), $measured);
        }
        $curve = $entry->numbersOrNull('curve');
        $positions = $curve !== null && count($curve) >= 2 ? count($curve) : ($this->isSlider($entry)
            ? self::SLIDER_POSITIONS
            : max(2, $this->card->switch($entry->textOrNull('switch') ?? '')['positions'] ?? self::USUAL_POSITIONS));

        return SwitchLevels::of($this->card->scale(), $this->card->maxPct(), $positions, $entry->number('weight', 100.0), $entry->number('offset', 0.0), $curve);
    }

    /** A slider has no positions: its ends and its middle stand for them. */
    private function isSlider(Node $entry): bool
    {
        $switch = $this->card->switch($entry->textOrNull('switch') ?? '');

        return $switch !== null && $switch['positions'] === null;
    }

    private function storedFailsafe(int $channel): ?float
    {
        $stored = null;
        foreach ($this->rig->settings()->nodes('failsafe') as $hop) {
            if ($hop->textOrNull('mode') === 'stored') {
                $value = $hop->items('stored_us')[$channel - 1] ?? null;
                $stored = is_int($value) || is_float($value) ? (float) $value : null;
            }
        }

        return $stored;
    }

    /** @return list<Finding> S5 and S6, and functions beyond what gets through. */
    private function channelFindings(): array
    {
        return array_map(static function (array $clash): Finding {
            ['function' => $function, 'channel' => $channel, 'with' => $with] = $clash;

            return match ($clash['clash']) {
                'shared' => new Finding('S5', Severity::Fix, ucfirst($function)." and $with ride on the same channel $channel.", found: "channel $channel twice", expected: 'a channel each', why: 'One switch would move both.', change: "Put $function on another channel."),
                'reserved' => new Finding('S6', Severity::Fix, ucfirst($function)." rides on channel $channel, which the link keeps for ".($with ?? 'itself').'.', found: $function, expected: $with ?? 'nothing', why: 'It would not get through, or would set off the wrong thing.', change: "Put $function on another channel."),
                default => new Finding('M12', Severity::Fix, ucfirst($function)." rides on channel $channel, beyond the channels that get through.", why: 'It never arrives.', change: "Put $function on a lower channel, or send more channels."),
            };
        }, $this->assignment()->clashes());
    }

    private function assignment(): Assignment
    {
        $reserved = [];
        foreach ($this->rig->boxes as $box) {
            foreach ($box instanceof Receiver ? $box->reserved : [] as $entry) {
                $reserved[$entry['channel']] = $entry['for'];
            }
        }

        return new Assignment($this->used(), $reserved, $this->channels());
    }

    /** @return list<array{function: string, channel: int}> Functions told, and those only a switch names. */
    private function used(): array
    {
        $used = $this->rig->functions() ?? [];
        foreach ($this->rig->settings()->nodes('switches') as $entry) {
            if (! in_array($entry->text('function'), array_column($used, 'function'), true)) {
                $used[] = ['function' => $entry->text('function'), 'channel' => $entry->int('channel')];
            }
        }

        return $used;
    }

    /** How many channels the narrowest part of the chain carries. */
    private function channels(): int
    {
        $counts = [$this->rig->handset()?->channels];
        foreach ($this->chain->path->joints ?? [] as $joint) {
            array_push($counts, $joint->sent?->channels, $joint->heard?->channels, $joint->isPwm() ? null : $joint->output?->channels);
        }
        $known = array_filter($counts, is_int(...));

        return $known === [] ? 16 : min($known);
    }

    /** @return array{moves: list<array{function: string, from: int, to: int}>, set: \stdClass}|null Null when nothing is wrong, or nothing fits. */
    private function proposal(): ?array
    {
        $assignment = $this->assignment();
        $moves = $assignment->clashes() === [] ? [] : $assignment->moves();
        if ($moves === null || $moves === []) {
            return null;
        }
        $set = ['craft.functions' => self::moved($this->rig->craft()->nodes('functions'), $moves)];
        if ($this->isAssigned()) {
            $set['settings.switches'] = self::moved($this->rig->settings()->nodes('switches'), $moves);
        }

        return ['moves' => $moves, 'set' => (object) $set];
    }

    /**
     * @param  list<Node>  $entries
     * @param  list<array{function: string, from: int, to: int}>  $moves
     * @return list<\stdClass>
     */
    private static function moved(array $entries, array $moves): array
    {
        $to = array_column($moves, 'to', 'function');

        return array_map(static fn (Node $entry): \stdClass => (object) (['channel' => $to[$entry->text('function')] ?? $entry->int('channel')] + get_object_vars($entry->value)), $entries);
    }

    /** @return list<array{position: int, name: string, channel: int, lo: float, hi: float}> Windows on channels that no switch moves. */
    private function looseWindows(): array
    {
        $channels = array_map(static fn (Node $entry): int => $entry->int('channel'), $this->rig->settings()->nodes('switches'));
        $loose = [];
        foreach ($this->rig->settings()->nodes('windows') as $position => $window) {
            if (! in_array($window->int('channel'), $channels, true)) {
                $loose[] = ['position' => $position, 'name' => $window->text('name'), 'channel' => $window->int('channel'), 'lo' => $window->number('lo'), 'hi' => $window->number('hi')];
            }
        }

        return $loose;
    }

    /** @return list<RateRow> Rate, low rate and expo of the sticks, with what they give. */
    public function rates(): array
    {
        $rates = [];
        foreach ($this->context->channels() as $channel => $function) {
            if (Letter::ofFunction($function) === null || $function === Letter::Throttle->functionName()) {
                continue;
            }
            $node = (new ChannelRecord($this->rig, $channel))->node();
            [$rate, $low, $expo] = [$node->number('rate_pct', 100.0), $node->numberOrNull('low_rate_pct'), $node->number('expo_pct', 0.0)];
            $curve = new StickCurve($rate / 100, $expo / 100);
            $lowCurve = $low === null ? null : new StickCurve($low / 100, $expo / 100);
            $rates[] = [
                'channel' => $channel, 'function' => $function, 'rate_pct' => $rate, 'low_rate_pct' => $low, 'expo_pct' => $expo,
                'throw_us' => $curve->throwUs($this->card->scale()),
                'low_throw_us' => $lowCurve?->throwUs($this->card->scale()),
                'centre_gain' => $curve->centreGain(),
                'curve' => $curve->points($this->card->scale()),
                'low_curve' => $lowCurve?->points($this->card->scale()),
            ];
        }

        return $rates;
    }
}
