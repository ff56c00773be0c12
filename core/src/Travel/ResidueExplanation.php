<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\DocumentError;

/**
 * Why a second reading is not what the settings should have given: another sub-trim model, ends entered the wrong way round,
 * the sub-trim with the wrong sign, or nothing entered at all. Says so only when that explains the reading clearly better.
 */
final readonly class ResidueExplanation
{
    /** A prediction this close to the reading explains it (µs). */
    private const CLOSE_US = 3.0;

    /** @param  SubtrimModel|null  $model  The model that explains it, where that is what differs. */
    private function __construct(public string $sentence, public ?SubtrimModel $model)
    {
    }

    /** Null when the reading is as predicted, or nothing here explains it. */
    public static function of(HandsetTravel $handset, Reading $before, ChannelSettings $with, Reading $after, ChannelSettings $set): ?self
    {
        $asSet = self::error($handset, $before, $with, $after, $set);
        if ($asSet === null || $asSet <= self::CLOSE_US) {
            return null;
        }
        $best = null;
        $least = self::CLOSE_US;
        foreach (self::hypotheses($handset, $with, $set) as [$sentence, $other, $then, $model]) {
            $error = self::error($other, $before, $with, $after, $then);
            if ($error !== null && $error < $least) {
                [$least, $best] = [$error, new self($sentence, $model)];
            }
        }

        return $best;
    }

    /** @return list<array{string, HandsetTravel, ChannelSettings, SubtrimModel|null}> */
    private static function hypotheses(HandsetTravel $handset, ChannelSettings $with, ChannelSettings $set): array
    {
        $hypotheses = [
            ['This is what the old settings give: the new ones have not been entered, or did not stay.', $handset, $with, null],
            ['The two ends have been entered the wrong way round.', $handset, new ChannelSettings($set->hiPct, $set->loPct, $set->subtrim, $set->reversed), null],
            ['The sub-trim has been entered with the other sign.', $handset, new ChannelSettings($set->loPct, $set->hiPct, -$set->subtrim, $set->reversed), null],
        ];
        foreach (SubtrimModel::cases() as $model) {
            if ($model !== $handset->model) {
                $hypotheses[] = ["The sub-trim of this handset {$model->label()}; its card says that it {$handset->model->label()}.", $handset->with($model), $set, $model];
            }
        }

        return $hypotheses;
    }

    private static function error(HandsetTravel $handset, Reading $before, ChannelSettings $with, Reading $after, ChannelSettings $set): ?float
    {
        try {
            $gimbal = Gimbal::seen($handset, $before, $with);
        } catch (DocumentError) {
            return null;
        }

        return ($set->reversed === $with->reversed ? $gimbal : $gimbal->reversed())->predict($set)->distanceTo($after);
    }
}
