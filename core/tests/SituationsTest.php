<?php

declare(strict_types=1);

use Linguator\Core\Tests\SheetText;
use Linguator\Core\Tests\Situations;

/** What stands at a place of a review, such as `travel.rows.0.state`. */
function placed(mixed $review, string $place): mixed
{
    foreach (explode('.', $place) as $step) {
        $review = is_array($review) ? ($review[(int) $step] ?? null) : ($review->{$step} ?? null);
    }

    return $review;
}

function expectFacts(mixed $review, stdClass $facts, string $name): void
{
    foreach (get_object_vars($facts) as $place => $value) {
        expect(placed($review, $place))->toEqual($value, "$name: $place is ".json_encode(placed($review, $place)));
    }
}

/** @return list<array{stdClass}> */
function situations(): array
{
    return array_map(static fn (stdClass $situation): array => [$situation], Situations::all());
}

it('carries what people come with to what must come out', fn (stdClass $situation) => expectFacts(Situations::review($situation), $situation->out, $situation->name))->with(situations(...));

it('carries each of them on to a sign-off and its sheet, by nothing but what the screens ask for', function (stdClass $situation) {
    $walk = Situations::walked($situation);
    $review = $walk->review();
    expect($review->next->label)->toBe('Ready', "$situation->name: {$review->next->sentence} ".implode('; ', $review->readiness->refused_because))
        ->and(array_values(array_filter($review->steps, static fn (stdClass $step): bool => $step->state !== 'done')))->toBe([])
        ->and($review->readiness->stops)->toBe([]);
    expectFacts($review, $situation->end, $situation->name);
    $lines = array_map(trim(...), explode("\n", SheetText::of($walk->rig)));
    foreach ($situation->sheet as $line) {
        expect($lines)->toContain($line);
    }
    // Whatever was left is on the sheet with its reason, and nothing else is.
    $left = array_values(array_filter($review->readiness->leftovers, static fn (stdClass $leftover): bool => $leftover->left !== null));
    expect(count($left))->toBe(count(get_object_vars($situation->leaves ?? new stdClass)));
    // Nothing on the sheet is still open but what was left.
    $open = array_filter($lines, static fn (string $line): bool => str_starts_with($line, '[open]'));
    expect(count($open))->toBeLessThanOrEqual(count($left), "$situation->name: ".implode('; ', $open));
    foreach ($situation->leaves ?? [] as $reason) {
        expect(implode("\n", $lines))->toContain($reason);
    }
})->with(situations(...));

it('knows all twenty-one of them', fn () => expect(Situations::all())->toHaveCount(21));
