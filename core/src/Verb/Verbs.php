<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;

/** The list of all verbs, and the one way to ask them. Adding a verb is adding its class, its two schemas and a line here. */
final readonly class Verbs
{
    /** Largest question taken (bytes). */
    public const MAX_BYTES = 3_000_000;

    /** @var array<string, class-string<Verb>> By name, so that asking one loads no other. */
    private const ALL = [
        'order' => OrderVerb::class, 'movement' => MovementVerb::class, 'plan' => PlanVerb::class, 'power' => PowerVerb::class,
        'tune' => TuneVerb::class, 'thresholds' => ThresholdsVerb::class, 'switch' => SwitchVerb::class, 'rates' => RatesVerb::class, 'percent' => PercentVerb::class,
        'pulse-train' => PulseTrainVerb::class, 'latency' => LatencyVerb::class, 'range' => RangeVerb::class, 'bind-ladder' => BindLadderVerb::class,
        'failsafe' => FailsafeVerb::class, 'readiness' => ReadinessVerb::class, 'encode' => EncodeVerb::class,
    ];

    public function __construct(private Schemas $schemas)
    {
    }

    /** @return array<string, class-string<Verb>> By name. */
    public static function all(): array
    {
        return self::ALL;
    }

    /**
     * @param  mixed  $input  A decoded JSON document.
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public function ask(string $name, mixed $input): array
    {
        $class = self::all()[$name] ?? throw new DocumentError('no_such_verb', "There is no verb \"$name\"; expected one of ".implode(', ', array_keys(self::all())).'.');

        return (new $class)($this->schemas->check($input, "verbs/$name.in.json"));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public function askText(string $name, string $json): array
    {
        return $this->ask($name, Json::decode($json));
    }
}
