<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\ReadingTaken;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Travel\Reading;

/** Readings that are being typed: those that can be judged, and what is wrong with the others. One bad row does not spoil the rest. */
final readonly class TravelDrafts
{
    private const LOWEST_US = 1.0;

    private const HIGHEST_US = 5000.0;

    /**
     * @param  array<int, Draft>  $sound  By channel.
     * @param  array<int, DraftProblem>  $problems  By channel.
     */
    private function __construct(public array $sound, public array $problems)
    {
    }

    /** @param  \stdClass  $drafts  By channel: lo, mid, hi, and whether to reverse. */
    public static function of(RigDocument $rig, \stdClass $drafts): self
    {
        [$sound, $problems] = [[], []];
        foreach (get_object_vars($drafts) as $channel => $draft) {
            try {
                $values = $draft instanceof \stdClass ? $draft : new \stdClass;
                [$lo, $mid, $hi] = [self::number($values, 'lo'), self::number($values, 'mid'), self::number($values, 'hi')];
                if ($lo > $mid && $mid > $hi) {
                    $problems[(int) $channel] = self::reversed($rig, (int) $channel);

                    continue;
                }
                $reading = Reading::of($lo, $mid, $hi);
                $sound[(int) $channel] = new Draft(new ReadingTaken($reading, (new ChannelRecord($rig, (int) $channel))->now()), ($values->reverse ?? false) === true);
            } catch (DocumentError $error) {
                $problems[(int) $channel] = new DraftProblem($error->getMessage(), "drafts.$channel.{$error->path}");
            }
        }

        return new self($sound, $problems);
    }

    /**
     * The latest readings kept, to be turned round.
     *
     * @param  list<int>  $channels
     */
    public static function reversing(RigDocument $rig, array $channels): self
    {
        $sound = [];
        foreach ($channels as $channel) {
            $readings = (new ChannelRecord($rig, $channel))->readings();
            if ($readings !== []) {
                $sound[$channel] = new Draft($readings[count($readings) - 1], true);
            }
        }

        return new self($sound, []);
    }

    private static function reversed(RigDocument $rig, int $channel): DraftProblem
    {
        $isSet = (new ChannelRecord($rig, $channel))->now()->reversed;

        return new DraftProblem(
            'These values fall where the stick rises: the channel is reversed'.($isSet ? ', as it is set.' : '. If that is what you read, it is to be turned round in the handset.'),
            "drafts.$channel.lo",
            true,
        );
    }

    private static function number(\stdClass $values, string $key): float
    {
        $value = $values->{$key} ?? null;
        if (! is_int($value) && ! is_float($value)) {
            throw DocumentError::at($key, 'Found '.Excerpt::of($value).'; expected a number in µs.', 'not_a_number');
        }
        if ($value < self::LOWEST_US || $value > self::HIGHEST_US) {
            throw DocumentError::at($key, "Found $value µs; expected a pulse width from 1 to 5000 µs.", 'out_of_range');
        }

        return (float) $value;
    }
}
