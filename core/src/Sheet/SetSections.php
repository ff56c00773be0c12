<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Rig\BindReview;
use Linguator\Core\Rig\SwitchReview;
use Linguator\Core\Rig\TravelReview;
use Linguator\Core\Rig\TravelRow;

/**
 * What the sheet says of binding, travel and switches.
 *
 * @phpstan-type Row array{key: string, label: string, value: string, state: string}
 */
final readonly class SetSections
{
    public function __construct(private BindReview $bind, private TravelReview $travel, private SwitchReview $switches)
    {
    }

    /** @return list<array{title: string, rows: list<Row>}> */
    public function all(): array
    {
        return [
            ['title' => 'Binding', 'rows' => $this->bind()],
            ['title' => 'Travel in the handset', 'rows' => $this->travel()],
            ['title' => 'Thresholds in the controller', 'rows' => $this->thresholds()],
            ['title' => 'Switches', 'rows' => $this->switches()],
            ['title' => 'Rates and expo', 'rows' => $this->rates()],
        ];
    }

    /** @return list<Row> */
    private function bind(): array
    {
        $rows = [];
        foreach ($this->bind->toArray() as $hop) {
            $attempts = is_array($hop['attempts']) ? $hop['attempts'] : [];
            foreach ($attempts as $attempt) {
                if ($attempt instanceof \stdClass && $attempt->bound === true) {
                    $rows[] = self::row("bind/{$this->text($hop['hop'])}", "{$this->text($hop['sender'])} to {$this->text($hop['receiver'])}",
                        $this->text($attempt->variant).$this->mode($this->text($attempt->channel_mode)).', at '.$this->text($attempt->distance_m).' m');
                    break;
                }
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private function travel(): array
    {
        return array_map(function (TravelRow $row): array {
            $solution = $row->solution();
            $now = $row->now();
            [$shown, $state] = match ($row->state()) {
                'confirmed', 'set' => [$now, $row->state() === 'confirmed' ? 'known' : 'open'],
                'open' => [$now, 'open'],
                default => [$solution === null ? $now : $solution->settings, 'attention'],
            };
            $text = sprintf('%g / %g %%, sub-trim %g%s', $shown->loPct, $shown->hiPct, $shown->subtrim, $now->reversed ? ', reversed' : '');

            return self::row("travel/$row->channel", "$row->channel $row->function", $row->state() === 'open' ? 'not read yet' : $text, $state);
        }, $this->travel->rows);
    }

    /** @return list<Row> */
    private function thresholds(): array
    {
        $thresholds = $this->travel->toArray()['thresholds'];
        if (! is_array($thresholds)) {
            return [];
        }
        $rows = [];
        foreach (['low' => 'Low', 'high' => 'High', 'deadband' => 'Dead band'] as $key => $label) {
            if (is_float($thresholds[$key] ?? null)) {
                $rows[] = self::row("threshold/$key", $label, sprintf('%g µs', $thresholds[$key]), $key === 'low' && $thresholds['arms'] !== true ? 'attention' : 'known');
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private function switches(): array
    {
        $rows = [];
        foreach ($this->switches->rows() as $entry) {
            $levels = implode(' / ', array_map(static fn (array $level): string => sprintf('%.0f', $level['us']), $entry['levels']));
            $ok = array_filter($entry['windows'], static fn (array $window): bool => $window['ok'] !== true) === [];
            $rows[] = self::row("switch/{$entry['function']}", $entry['function'].' on '.($entry['switch'] ?? 'no switch yet'),
                "channel {$entry['channel']}, $levels µs", $entry['switch'] === null ? 'open' : ($ok ? 'known' : 'attention'));
        }

        return $rows;
    }

    /** @return list<Row> */
    private function rates(): array
    {
        $rows = [];
        foreach ($this->switches->rates() as $rate) {
            if ($rate['rate_pct'] !== 100.0 || $rate['expo_pct'] !== 0.0 || $rate['low_rate_pct'] !== null) {
                $low = $rate['low_rate_pct'] === null ? '' : sprintf(' / %g', $rate['low_rate_pct']);
                $rows[] = self::row("rate/{$rate['channel']}", $rate['function'], sprintf('rate %g%s %%, expo %g %%', $rate['rate_pct'], $low, $rate['expo_pct']));
            }
        }

        return $rows;
    }

    private function mode(string $mode): string
    {
        return ctype_digit($mode[0] ?? '') ? ', channels '.str_replace('-', '–', $mode) : '';
    }

    private function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /** @return Row */
    private static function row(string $key, string $label, string $value, string $state = 'known'): array
    {
        return ['key' => $key, 'label' => $label, 'value' => $value, 'state' => $state];
    }
}
