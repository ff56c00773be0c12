<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Bind\RecipeStep;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Rig\MenuTopic;
use Linguator\Core\Steps\Bind\BindHop;
use Linguator\Core\Steps\Switches\RateRow;
use Linguator\Core\Steps\Switches\SwitchRow;
use Linguator\Core\Steps\Switches\WindowRow;
use Linguator\Core\Steps\Travel\TravelRow;
use Linguator\Core\Steps\Travel\TravelState;
use Linguator\Core\Switching\SwitchLevel;
use Linguator\Core\Switching\WindowVerdict;
use Linguator\Core\Travel\ChannelSettings;

/** What the sheet says of binding, travel and switches. */
final readonly class SetSections
{
    public function __construct(private Reviews $reviews)
    {
    }

    /** @return list<SheetSection> */
    public function all(): array
    {
        $switches = array_merge(...array_map(static fn (SwitchRow $row): array => [self::switch($row), ...self::windows($row)], $this->reviews->switches()->rows()));

        return [
            $this->section('Binding', MenuTopic::Binding, $this->bind()),
            $this->section('Travel in the handset', MenuTopic::Travel, array_map(self::travel(...), $this->reviews->travel()->rows)),
            $this->section('Thresholds in the controller', MenuTopic::Thresholds, array_values(array_filter([...$this->thresholds(), $this->range()]))),
            $this->section('Switches', MenuTopic::Switches, $switches),
            $this->section('Rates and expo', MenuTopic::Rates, $this->rates()),
        ];
    }

    /** @param  list<SheetRow>  $rows */
    private function section(string $title, MenuTopic $topic, array $rows): SheetSection
    {
        return new SheetSection($title, $rows === [] ? [] : [...SheetRow::where($topic, $this->reviews->rig), ...$rows]);
    }

    /** @return list<SheetRow> What bound, and how it is done again. */
    private function bind(): array
    {
        return array_merge(...array_map(static fn (BindHop $hop): array => [self::bound($hop), ...self::recipe($hop)], $this->reviews->bind()->hops()));
    }

    private static function bound(BindHop $hop): SheetRow
    {
        $attempt = $hop->bound();
        if ($attempt === null) {
            return new SheetRow("bind/$hop->hop", "$hop->sender to $hop->receiver", 'by these steps');
        }
        $text = static fn (string $key): string => is_scalar($attempt->{$key} ?? null) ? (string) $attempt->{$key} : '';

        return new SheetRow("bind/$hop->hop", "$hop->sender to $hop->receiver", $text('variant').self::mode($text('channel_mode')).", at {$text('distance_m')} m");
    }

    /** @return list<SheetRow> */
    private static function recipe(BindHop $hop): array
    {
        $row = static fn (int $k, RecipeStep $step): SheetRow => new SheetRow("bind/$hop->hop/$k", (string) ($k + 1), $step->text.($step->light === null ? '' : " Light: $step->light."));

        return array_map($row, array_keys($hop->recipe), $hop->recipe);
    }

    private static function travel(TravelRow $row): SheetRow
    {
        $now = $row->now();
        $state = $row->state();
        $isTaken = in_array($state, [TravelState::Confirmed, TravelState::Set, TravelState::Open], true);
        $shown = $isTaken ? $now : $row->solution()->settings ?? $now;
        $text = sprintf('%g / %g %%, sub-trim %s%s', $shown->loPct, $shown->hiPct, str_replace('-', '−', (string) $shown->subtrim), $now->reversed ? ', reversed' : '');

        $text = match (true) {
            $state === TravelState::Beforehand => "$text, before full stick is tried",
            $state !== TravelState::Open => $text,
            $now->equals(ChannelSettings::delivered()) => 'not read yet',
            default => "$text, not read yet",
        };

        return new SheetRow("travel/$row->channel", "$row->channel $row->function", $text, match ($state) {
            TravelState::Confirmed => RowState::Known,
            TravelState::Set, TravelState::Open => RowState::Open,
            default => RowState::Attention,
        });
    }

    /** @return list<SheetRow> */
    private function thresholds(): array
    {
        $set = $this->reviews->travel()->thresholds();
        $row = static fn (string $key, string $label, ?float $us, RowState $state = RowState::Known): ?SheetRow => $us === null ? null : new SheetRow("threshold/$key", $label, sprintf('%g µs', $us), $state);

        return $set === null ? [] : array_values(array_filter([
            $row('low', 'Low', $set->low, $set->arms ? RowState::Known : RowState::Attention),
            $row('high', 'High', $set->high),
            $row('deadband', 'Dead band', $set->deadband),
        ]));
    }

    /** Where the handset stays as it is, the range that the controller is set to; null: it does not. */
    private function range(): ?SheetRow
    {
        $range = $this->reviews->travel()->shown()->controllerRange;

        return $range === null ? null : new SheetRow('controller_range', 'Its range', sprintf('%g to %g µs', $range->lo, $range->hi));
    }

    private static function switch(SwitchRow $row): SheetRow
    {
        $levels = implode(' / ', array_map(static fn (SwitchLevel $level): string => sprintf('%.0f', $level->us), $row->levels));

        return new SheetRow("switch/$row->function", $row->function.' on '.($row->switch ?? 'no switch yet'), "channel $row->channel, $levels µs",
            $row->switch === null ? RowState::Open : ($row->isOk() ? RowState::Known : RowState::Attention));
    }

    /** @return list<SheetRow> Each with the positions that lie in it. */
    private static function windows(SwitchRow $row): array
    {
        return array_map(static fn (WindowRow $window): SheetRow => new SheetRow(
            "window/$row->function/$window->position",
            "Window {$window->verdict->name}",
            sprintf('%g–%g µs on channel %d: ', $window->lo, $window->hi, $window->channel).self::positions($window->verdict),
            $window->verdict->ok ? RowState::Known : RowState::Attention,
        ), $row->windows);
    }

    private static function positions(WindowVerdict $verdict): string
    {
        $positions = $verdict->inside;

        return $positions === [] ? 'no position' : (count($positions) === 1 ? 'position ' : 'positions ').implode(', ', $positions);
    }

    /** @return list<SheetRow> */
    private function rates(): array
    {
        $told = array_filter($this->reviews->switches()->rates(), static fn (RateRow $rate): bool => ! $rate->isPlain());

        return array_values(array_map(static function (RateRow $rate): SheetRow {
            $low = $rate->lowRatePct === null ? '' : sprintf(' / %g', $rate->lowRatePct);

            return new SheetRow("rate/$rate->channel", $rate->function, sprintf('rate %g%s %%, expo %g %%', $rate->ratePct, $low, $rate->expoPct));
        }, $told));
    }

    private static function mode(string $mode): string
    {
        return ctype_digit($mode[0] ?? '') ? ', channels '.str_replace('-', '–', $mode) : '';
    }
}
