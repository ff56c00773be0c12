<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Steps\Bind\BindHop;
use Linguator\Core\Steps\Switches\RateRow;
use Linguator\Core\Steps\Switches\SwitchRow;
use Linguator\Core\Steps\Travel\TravelRow;
use Linguator\Core\Steps\Travel\TravelState;
use Linguator\Core\Switching\SwitchLevel;
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
        return [
            new SheetSection('Binding', $this->bind()),
            new SheetSection('Travel in the handset', array_map(self::travel(...), $this->reviews->travel()->rows)),
            new SheetSection('Thresholds in the controller', $this->thresholds()),
            new SheetSection('Switches', array_map(self::switch(...), $this->reviews->switches()->rows())),
            new SheetSection('Rates and expo', $this->rates()),
        ];
    }

    /** @return list<SheetRow> */
    private function bind(): array
    {
        $bound = array_filter($this->reviews->bind()->hops(), static fn (BindHop $hop): bool => $hop->bound() !== null);

        return array_values(array_map(static function (BindHop $hop): SheetRow {
            $attempt = $hop->bound() ?? new \stdClass;
            $text = static fn (string $key): string => is_scalar($attempt->{$key} ?? null) ? (string) $attempt->{$key} : '';

            return new SheetRow("bind/$hop->hop", "$hop->sender to $hop->receiver", $text('variant').self::mode($text('channel_mode')).", at {$text('distance_m')} m");
        }, $bound));
    }

    private static function travel(TravelRow $row): SheetRow
    {
        $now = $row->now();
        $state = $row->state();
        $isTaken = in_array($state, [TravelState::Confirmed, TravelState::Set, TravelState::Open], true);
        $shown = $isTaken ? $now : $row->solution()->settings ?? $now;
        $text = sprintf('%g / %g %%, sub-trim %g%s', $shown->loPct, $shown->hiPct, $shown->subtrim, $now->reversed ? ', reversed' : '');

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

    private static function switch(SwitchRow $row): SheetRow
    {
        $levels = implode(' / ', array_map(static fn (SwitchLevel $level): string => sprintf('%.0f', $level->us), $row->levels));

        return new SheetRow("switch/$row->function", $row->function.' on '.($row->switch ?? 'no switch yet'), "channel $row->channel, $levels µs",
            $row->switch === null ? RowState::Open : ($row->isOk() ? RowState::Known : RowState::Attention));
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
