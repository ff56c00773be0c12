<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Bind\Attempt;
use Linguator\Core\Bind\Candidates;
use Linguator\Core\Bind\Ladder;
use Linguator\Core\Bind\Rung;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;

/** What to try next when a receiver does not bind? */
final class BindLadderVerb implements Verb
{
    public static function name(): string
    {
        return 'bind-ladder';
    }

    public static function summary(): string
    {
        return 'Which combination to try next, with chances that learn from every attempt.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $candidates = self::candidates($node);
        $attempts = [];
        foreach ($node->nodes('attempts') as $k => $attempt) {
            $attempts[] = self::attempt($attempt, $k, $node, $candidates);
        }
        $ladder = Ladder::after($candidates, $attempts);
        $next = $ladder->next();
        $answer = [
            'next' => $next?->named(),
            'ladder' => array_map(static fn (Rung $rung): array => [...get_object_vars($rung->combination->named()), 'p' => $rung->chance, 'minutes' => $rung->combination->minutes], $ladder->rungs),
            'expected_minutes' => $ladder->expectedMinutes(),
            'exhausted' => $next === null,
        ];

        return (object) ($ladder->isRepeat() ? $answer + ['repeat_because' => 'too close'] : $answer);
    }

    private static function candidates(Node $node): Candidates
    {
        $lists = $node->node('candidates');
        assert($lists !== null);
        foreach (['variants', 'channel_modes', 'regions'] as $list) {
            self::refuseTwins($lists->texts($list), "candidates.$list");
        }
        [$variants, $modes, $regions] = [$lists->texts('variants'), $lists->texts('channel_modes'), $lists->texts('regions')];
        assert($variants !== [] && $modes !== []);
        $known = $node->node('known');
        $region = $known?->textOrNull('region');
        if ($region !== null && $regions !== []) {
            self::mustBeListed($region, $regions, 'known.region');
        }
        $minutes = [];
        foreach (get_object_vars($lists->node('minutes')->value ?? new \stdClass) as $variant => $value) {
            self::mustBeListed((string) $variant, $variants, "candidates.minutes.$variant");
            $minutes[(string) $variant] = is_numeric($value) ? (float) $value : 0.0;
        }

        return new Candidates($variants, $modes, $regions, $minutes, $known?->flag('auto_refused') ?? false, $region);
    }

    private static function attempt(Node $attempt, int $k, Node $node, Candidates $candidates): Attempt
    {
        $lists = $node->node('candidates');
        assert($lists !== null);
        self::mustBeListed($attempt->text('variant'), $lists->texts('variants'), "attempts.$k.variant");
        self::mustBeListed($attempt->text('channel_mode'), $lists->texts('channel_modes'), "attempts.$k.channel_mode");
        $region = $attempt->textOrNull('region');
        if ($region === null && $candidates->hasSeveralRegions()) {
            throw DocumentError::at("attempts.$k.region", 'The region is missing, and several are possible.', 'missing_key');
        }
        $regions = $lists->texts('regions') === [] ? array_filter([$candidates->onlyRegion()], is_string(...)) : $lists->texts('regions');
        if ($region !== null) {
            self::mustBeListed($region, $regions, "attempts.$k.region");
        }

        return new Attempt($attempt->text('variant'), $attempt->text('channel_mode'), $region ?? $candidates->onlyRegion(), $attempt->number('distance_m'), $attempt->flag('bound'));
    }

    /** @param  array<string>  $names */
    private static function mustBeListed(string $name, array $names, string $path): void
    {
        if (! in_array($name, $names, true)) {
            throw DocumentError::at($path, 'Found '.Excerpt::of($name).'; expected '.($names === [] ? 'none' : 'one of '.implode(', ', $names)).'.', 'not_listed');
        }
    }

    /** @param  list<string>  $names */
    private static function refuseTwins(array $names, string $path): void
    {
        foreach ($names as $k => $name) {
            if (array_search($name, $names, true) !== $k) {
                throw DocumentError::at("$path.$k", Excerpt::of($name).' stands in this list twice; expected each once.', 'duplicate');
            }
        }
    }
}
