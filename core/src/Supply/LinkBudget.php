<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/**
 * A radio link in free space: path loss dB = 32.44 + 20 log10 f(MHz) + 20 log10 d(km).
 * Power limits are set by local law; nothing here states one.
 */
final readonly class LinkBudget
{
    private const LOSS_AT_ONE_MHZ_AND_KM = 32.44;

    public const USUAL_MARGIN_DB = 10.0;

    /**
     * @param  float  $fMhz  Carrier, MHz, above 0.
     * @param  float  $budgetDb  Power (dBm) + gains − sensitivity (dBm): what the path may lose.
     */
    public function __construct(private float $fMhz, private float $budgetDb, private float $marginDb = self::USUAL_MARGIN_DB)
    {
    }

    public function pathLossDb(float $distanceM): float
    {
        return self::LOSS_AT_ONE_MHZ_AND_KM + 20 * log10($this->fMhz) + 20 * log10($distanceM / 1000);
    }

    /** What is left at this distance, dB. */
    public function marginAt(float $distanceM): float
    {
        return $this->budgetDb - $this->pathLossDb($distanceM);
    }

    /** The distance (m) at which the margin is the one wanted. */
    public function reachM(): float
    {
        return 1000 * 10 ** (($this->budgetDb - $this->marginDb - self::LOSS_AT_ONE_MHZ_AND_KM - 20 * log10($this->fMhz)) / 20);
    }

    /** What a range check at this distance, with the power reduced, stands for at full power: d × 10^((Δ − margin)/20). */
    public static function checkStandsForM(float $distanceM, float $reducedByDb, float $marginDb = self::USUAL_MARGIN_DB): float
    {
        return $distanceM * 10 ** (($reducedByDb - $marginDb) / 20);
    }

    /** Power in mW of a power told in dBm: 0 dBm is 1 mW. */
    public static function milliwatts(float $dBm): float
    {
        return round(10 ** ($dBm / 10), 3);
    }
}
