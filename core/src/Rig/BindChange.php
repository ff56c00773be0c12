<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Readiness\CheckKind;

/** Changes the bind step makes to a rig's document. */
final readonly class BindChange
{
    private const KEYS = ['hop', 'variant', 'channel_mode', 'region', 'distance_m', 'bound', 'note', 'by'];

    public function __construct(private RigDocument $rig, private BindReview $bind)
    {
    }

    /**
     * An attempt as it is kept.
     *
     * @param  array<string, mixed>  $told
     *
     * @throws DocumentError if it names a hop, variant, channel mode or region this rig does not have.
     */
    public function attempt(array $told, string $at): \stdClass
    {
        $hop = $told['hop'] ?? 1;
        $there = is_int($hop) ? ($this->bind->toArray()[$hop - 1] ?? null) : null;
        if ($there === null) {
            throw DocumentError::at('attempt.hop', 'Found hop '.Excerpt::of($hop).'; this rig has '.count($this->bind->toArray()).'.', 'no_such_hop');
        }
        foreach (['variant' => 'variants', 'channel_mode' => 'channel_modes'] as $key => $list) {
            $names = is_array($there[$list]) ? $there[$list] : [];
            if (! in_array($told[$key] ?? null, $names, true)) {
                throw DocumentError::at("attempt.$key", 'Found '.Excerpt::of($told[$key] ?? null).'; expected one of '.implode(', ', array_filter($names, is_string(...))).'.', 'not_listed');
            }
        }
        foreach (array_keys($told) as $key) {
            if (! in_array($key, self::KEYS, true)) {
                throw DocumentError::at("attempt.$key", 'The key '.Excerpt::of($key).' is not known here.', 'unknown_key');
            }
        }

        return (object) (['at' => $at, 'hop' => $hop] + array_filter($told, static fn (mixed $value): bool => $value !== null && $value !== ''));
    }

    public function logged(\stdClass $attempt): RigPatch
    {
        return RigPatch::of([])->adding('attempts', [$attempt]);
    }

    public function sentence(\stdClass $attempt): string
    {
        $text = static fn (string $key): string => is_scalar($attempt->{$key} ?? null) ? (string) $attempt->{$key} : '?';

        $mode = ctype_digit($text('channel_mode')[0] ?? '') ? ", channels {$text('channel_mode')}" : '';

        return (($attempt->bound ?? null) === true ? 'Bound: ' : 'Did not bind: ')."{$text('variant')}$mode, at {$text('distance_m')} m";
    }

    /** What was seen when the handset was switched off and on again. */
    public function proof(int $hop, bool $passed, string $at): RigPatch
    {
        if (! isset($this->bind->toArray()[$hop - 1])) {
            throw DocumentError::at('hop', "Found hop $hop; this rig has ".count($this->bind->toArray()).'.', 'no_such_hop');
        }

        return (new CheckChange($this->rig))->made(CheckKind::Bind, $hop, $passed, null, $passed ? 'it does' : 'it does not', null, $at);
    }
}
