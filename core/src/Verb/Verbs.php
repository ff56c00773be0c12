<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;

/** The list of all verbs, and the one way to ask them. Adding a verb is adding its class, its two schemas and a line here. */
final readonly class Verbs
{
    /** Largest question taken (bytes). */
    public const MAX_BYTES = 3_000_000;

    /** Most lists and objects in it: they are what takes memory, however few bytes each has. */
    private const MOST_PARTS = 120_000;

    /** The one verb that takes a capture besides its question. */
    public const DECODE = 'decode';

    /** @var array<string, class-string<Verb>> By name, so that asking one loads no other. */
    private const ALL = [
        'order' => OrderVerb::class, 'movement' => MovementVerb::class, 'plan' => PlanVerb::class, 'power' => PowerVerb::class,
        'dance' => DanceVerb::class, 'tune' => TuneVerb::class, 'thresholds' => ThresholdsVerb::class, 'switch' => SwitchVerb::class, 'rates' => RatesVerb::class, 'percent' => PercentVerb::class,
        'pulse-train' => PulseTrainVerb::class, 'latency' => LatencyVerb::class, 'range' => RangeVerb::class, 'bind-ladder' => BindLadderVerb::class,
        'diagnose' => DiagnoseVerb::class, 'simulate' => SimulateVerb::class, 'probe' => ProbeVerb::class,
        'failsafe' => FailsafeVerb::class, 'readiness' => ReadinessVerb::class, 'encode' => EncodeVerb::class, self::DECODE => DecodeVerb::class,
    ];

    private Services $services;

    /** @param  Services|null  $services  What verbs need besides the question; null: the shipped formats, no capture. */
    public function __construct(private Schemas $schemas, ?Services $services = null)
    {
        $this->services = $services ?? Services::shipped();
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

        return Plain::object($this->make($class)($this->schemas->check($input, "verbs/$name.in.json")));
    }

    /** @param  class-string<Verb>  $class */
    private function make(string $class): Verb
    {
        return match ($class) {
            EncodeVerb::class => new EncodeVerb($this->services->formats, $this->schemas),
            SimulateVerb::class => new SimulateVerb($this->services->formats),
            ProbeVerb::class => new ProbeVerb($this->services->formats),
            DecodeVerb::class => new DecodeVerb($this->services->formats, $this->schemas, $this->services->capture),
            default => new $class,
        };
    }

    /**
     * A question as text, read within the bounds that every question has.
     *
     * @throws DocumentError if there is too much in it, or it is no JSON.
     */
    public static function read(string $json): mixed
    {
        if (strlen($json) > self::MAX_BYTES) {
            throw new DocumentError('too_large', sprintf('Found more than %d MB; expected a document of at most that.', self::MAX_BYTES / 1_000_000));
        }
        $parts = substr_count($json, '{') + substr_count($json, '[');
        if ($parts > self::MOST_PARTS) {
            throw new DocumentError('too_large', "Found $parts lists and objects; expected at most ".self::MOST_PARTS.'.');
        }

        return Json::decode($json);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public function askText(string $name, string $json): array
    {
        return $this->ask($name, self::read($json));
    }
}
