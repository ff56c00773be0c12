<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/** A supply against the devices it feeds: voltages at full and flat, and the current it must give. */
final readonly class PowerCheck
{
    private const CHECK_SHARE = 0.7;

    private const STOP_SHARE = 1.0;

    /** @param  list<array{name: string, range: SupplyRange}>  $devices */
    public function __construct(private Supply $supply, private array $devices, private ?float $supplyMa = null)
    {
    }

    /** @return list<array{name: string, severity: string, code?: string, message?: string}> */
    public function devices(): array
    {
        return array_map(function (array $device): array {
            $finding = self::voltage($device['name'], $device['range'], $this->supply);

            return $finding === null
                ? ['name' => $device['name'], 'severity' => Severity::Ok->value]
                : ['name' => $device['name'], 'severity' => $finding->severity->value, 'code' => $finding->code->value, 'message' => $finding->message];
        }, $this->devices);
    }

    /** @return array{ma: float, share: float|null, severity: string, code?: string, message?: string} */
    public function load(): array
    {
        $ma = array_sum(array_map(static fn (array $device): float => $device['range']->ma ?? 0.0, $this->devices));
        if ($this->supplyMa === null) {
            return ['ma' => $ma, 'share' => null, 'severity' => Severity::Ok->value];
        }
        $share = $ma / $this->supplyMa;
        $severity = match (true) {
            $share >= self::STOP_SHARE - 1e-9 => Severity::Stop,
            $share >= self::CHECK_SHARE - 1e-9 => Severity::Check,
            default => Severity::Ok,
        };
        $load = ['ma' => $ma, 'share' => $share, 'severity' => $severity->value];
        if ($severity !== Severity::Ok) {
            $load += ['code' => Code::P3->value, 'message' => sprintf('The devices draw %g mA, %.0f %% of what the supply can give.', $ma, $share * 100)];
        }

        return $load;
    }

    public static function voltage(string $name, SupplyRange $range, Supply $supply): ?Finding
    {
        return match ($range->fault($supply)) {
            Code::P1 => new Finding(Code::P1, Severity::Stop, sprintf('%s would get %g V; it takes at most %g V.', $name, $supply->full, $range->max),
                found: "$supply->full V", expected: $range->label(), why: 'Too much voltage destroys it.', change: 'Use a pack or a supply with a lower full voltage.'),
            Code::P2 => new Finding(Code::P2, Severity::Fix, sprintf('%s would get only %g V near the end of the pack; it needs %g V.', $name, $supply->low, $range->min),
                found: "$supply->low V", expected: $range->label(), why: 'It resets in use when the pack runs down.', change: 'Use a pack with more cells, or land earlier: set the alarm above its lowest voltage.'),
            default => null,
        };
    }
}
