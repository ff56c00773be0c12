<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Severity;

/** What all devices draw of what a supply can give. */
final readonly class SupplyLoad implements \JsonSerializable
{
    private const CHECK_SHARE = 0.7;

    private const STOP_SHARE = 1.0;

    /** Dust of binary fractions: a share this close to a limit has reached it. */
    private const DUST = 1e-9;

    /** @param  float|null  $supplyMa  What it can give; null: not known. */
    public function __construct(private float $ma, private ?float $supplyMa)
    {
    }

    /** 1 is all it can give; null: not known. */
    private function share(): ?float
    {
        return $this->supplyMa === null ? null : $this->ma / $this->supplyMa;
    }

    private function severity(): Severity
    {
        $share = $this->share() ?? 0.0;

        return match (true) {
            $share >= self::STOP_SHARE - self::DUST => Severity::Stop,
            $share >= self::CHECK_SHARE - self::DUST => Severity::Check,
            default => Severity::Ok,
        };
    }

    public function jsonSerialize(): \stdClass
    {
        $load = ['ma' => $this->ma, 'share' => $this->share(), 'severity' => $this->severity()];
        if ($this->severity() !== Severity::Ok) {
            $load += ['code' => Code::P3, 'message' => sprintf('The devices draw %g mA, %.0f %% of what the supply can give.', $this->ma, $this->share() * 100)];
        }

        return (object) $load;
    }
}
