<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;
use Linguator\Core\Gear\HandsetSwitch;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\SubtrimModel;

/** What a rig's handset says of its scale, its trims and its switches. */
final readonly class HandsetTraits
{
    private const USUAL_US_PER_100 = 512.0;

    private const USUAL_AUX_FROM = 5;

    public const USUAL_STICK_MODE = 2;

    /** Where the four sticks sit: left across, left up, right across, right up. Source: the field's four stick modes. */
    private const GIMBALS = [1 => 'REAT', 2 => 'RTAE', 3 => 'AERT', 4 => 'ATRE'];

    private Node $card;

    public function __construct(private RigDocument $rig)
    {
        $this->card = $rig->boxes->handset() === null ? new Node(new \stdClass) : $rig->cards[0]->node();
    }

    /** µs per percent; the usual ±512 where the card does not say. */
    public function scale(): Scale
    {
        $scale = $this->card->node('scale');

        return new Scale($scale?->number('centre', Pulse::CENTRE_US) ?? Pulse::CENTRE_US, $scale?->numberOrNull('us_per_100') ?? self::USUAL_US_PER_100);
    }

    public function maxPct(): float
    {
        return $this->card->node('scale')?->number('max_pct', 100.0) ?? 100.0;
    }

    /** Where the sub-trim model is not known it is taken to shift everything, as most do; two readings tell. */
    public function travel(): HandsetTravel
    {
        $scale = $this->card->node('scale') ?? new Node(new \stdClass);

        return new HandsetTravel(
            $scale->number('max_pct', 100.0),
            $scale->number('step_pct', 1.0),
            $this->model() ?? SubtrimModel::After,
            $scale->number('subtrim_step', 1.0),
            $scale->number('subtrim_us_per_unit', 1.0),
        );
    }

    public function model(): ?SubtrimModel
    {
        return SubtrimModel::tryFrom((string) $this->card->node('scale')?->textOrNull('subtrim_model'));
    }

    /** The channel this handset calls its first auxiliary. */
    public function auxFrom(): int
    {
        return $this->card->intOrNull('aux_from') ?? self::USUAL_AUX_FROM;
    }

    /** Where the four main controls sit, 1 to 4: as set in this rig, else the card's; null: not known. */
    public function stickMode(): ?int
    {
        return $this->rig->settings()->intOrNull('stick_mode') ?? $this->card->node('sticks')?->intOrNull('mode');
    }

    /** @return list<string> The letters of left across, left up, right across, right up; of the usual mode where it is not known. */
    public function gimbals(): array
    {
        return str_split(self::GIMBALS[$this->stickMode() ?? self::USUAL_STICK_MODE]);
    }

    /** @return list<array{mode: int, gimbals: list<string>}> Every stick mode, to choose from. */
    public static function stickModes(): array
    {
        return array_map(static fn (int $mode): array => ['mode' => $mode, 'gimbals' => str_split(self::GIMBALS[$mode])], array_keys(self::GIMBALS));
    }

    /** @return list<HandsetSwitch> */
    public function switches(): array
    {
        return array_map(HandsetSwitch::fromNode(...), $this->card->nodes('switches'));
    }

    /** Null: there is none of this name on the card. */
    public function switch(string $id): ?HandsetSwitch
    {
        foreach ($this->switches() as $switch) {
            if ($switch->id === $id) {
                return $switch;
            }
        }

        return null;
    }
}
