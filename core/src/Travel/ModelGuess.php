<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\DocumentError;

/** Which sub-trim model a handset has: the one whose prediction of a second reading from the first has the least error. */
final readonly class ModelGuess
{
    /** Two models this close cannot be told apart by these readings (µs). */
    private const APART_US = 1.0;

    /** @param  array<string, float>  $errors  By model: the largest error of its prediction (µs). */
    private function __construct(public array $errors)
    {
    }

    public static function between(HandsetTravel $handset, Reading $first, ChannelSettings $with, Reading $second, ChannelSettings $then): self
    {
        $errors = [];
        foreach (SubtrimModel::cases() as $model) {
            try {
                $errors[$model->value] = Gimbal::seen($handset->with($model), $first, $with)->predict($then)->distanceTo($second);
            } catch (DocumentError) {
                // These readings cannot come from this model.
            }
        }
        asort($errors);

        return new self($errors);
    }

    /** Null when the two best explain the readings equally well: the sub-trim and the ends must both differ. */
    public function model(): ?SubtrimModel
    {
        $errors = array_values($this->errors);
        if ($errors === [] || (isset($errors[1]) && $errors[1] - $errors[0] < self::APART_US)) {
            return null;
        }

        return SubtrimModel::from((string) array_key_first($this->errors));
    }
}
