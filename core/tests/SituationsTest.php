<?php

declare(strict_types=1);

use Linguator\Core\Tests\Situations;

/** What stands at a place of a review, such as `travel.rows.0.state`. */
function placed(mixed $review, string $place): mixed
{
    foreach (explode('.', $place) as $step) {
        $review = is_array($review) ? ($review[(int) $step] ?? null) : ($review->{$step} ?? null);
    }

    return $review;
}

it('carries what people come with to what must come out', function (stdClass $situation) {
    $review = Situations::review($situation);
    foreach (get_object_vars($situation->out) as $place => $value) {
        expect(placed($review, $place))->toEqual($value, "$situation->name: $place is ".json_encode(placed($review, $place)));
    }
})->with(fn () => array_map(static fn (stdClass $situation): array => [$situation], Situations::all()));

it('knows all twenty-one of them', fn () => expect(Situations::all())->toHaveCount(21));
