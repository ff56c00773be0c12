<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Supply\LinkBudget;

/** What a range check at thirty paces stands for with the power this rig's last radio is set to. */
final readonly class RangeMeaning
{
    private const THIRTY_PACES_M = 27.0;

    /**
     * @param  float|null  $fullMw  The most the radio's card tells, mW; null: it tells none.
     * @param  float|null  $setMw  mW; null: not told.
     * @param  float|null  $standsForM  At full power in free space; null: not known.
     */
    private function __construct(public ?string $radio, public ?float $fullMw, public ?float $setMw, public ?float $standsForM, public string $text)
    {
    }

    public static function of(RigDocument $rig): self
    {
        $receiver = $rig->boxes->lastReceiverAt();
        $radio = $receiver === null ? null : $rig->boxes->at($receiver - 1);
        $card = $radio === null ? null : $rig->card($radio->id())?->node();
        $powers = [...($card?->numbersOrNull('powers_mw') ?? $card?->numbersOrNull('radio_powers_mw') ?? []), ...array_map(LinkBudget::milliwatts(...), $card?->numbersOrNull('powers_dbm') ?? [])];
        $full = $powers === [] ? null : max($powers);
        $set = $rig->settings()->numberOrNull('power_mw');
        $stands = $full === null || $set === null || $set > $full ? null : LinkBudget::checkStandsForM(self::THIRTY_PACES_M, 10 * log10($full / $set));

        return new self($radio?->name(), $full, $set, $stands, self::text($radio?->name() ?? 'the radio', $full, $set, $stands));
    }

    private static function text(string $radio, ?float $full, ?float $set, ?float $stands): string
    {
        return match (true) {
            $stands !== null => sprintf('Thirty paces (%g m) at %g mW stand for %.0f m at %s in free space, %g dB kept for body and orientation.',
                self::THIRTY_PACES_M, $set, $stands, $set === $full ? 'this, the full power,' : sprintf('%g mW', $full), LinkBudget::USUAL_MARGIN_DB),
            $set === null => 'What thirty paces stand for depends on the power they are made at; it is not told yet.',
            $full === null => "What thirty paces at $set mW stand for is not known: the full power is not on the card of $radio.",
            default => "The card of $radio tells $full mW at most, and $set mW are set: one of them is wrong.",
        };
    }
}
