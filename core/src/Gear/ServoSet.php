<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Wire\WireFormats;

/** Bare servos and speed controllers. */
final readonly class ServoSet implements Box
{
    /** What a servo that is not digital takes at most (Hz). */
    private const ANALOGUE_HZ = 50.0;

    /** @param  list<string>  $functions What each servo is for. */
    private function __construct(
        public string $id,
        public string $name,
        public array $functions,
        public InputPort $input,
        public ?float $feedsV,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        $servos = $card->nodes('servos');
        $analogue = array_filter($servos, static fn (Node $servo): bool => $servo->flagOrNull('digital') === false) !== [];

        return new self(
            $card->text('id'),
            $card->text('name'),
            array_map(static fn (Node $servo): string => $servo->text('function'), $servos),
            new InputPort(WireFormats::get('pwm'), maxRateHz: $analogue ? self::ANALOGUE_HZ : null, anyLevel: true),
            $card->numberOrNull('feeds_v'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function kind(): Kind
    {
        return Kind::ServoSet;
    }

    public function ports(): Ports
    {
        return new Ports(inputs: [$this->input]);
    }

    public function hasThrottle(): bool
    {
        return in_array('throttle', $this->functions, true);
    }

    /** Pins a controller needs for these servos; the throttle's own plug is not counted where the controller does not pass throttle. */
    public function pinsNeededFrom(Controller $controller): int
    {
        return count(array_filter(
            $this->functions,
            static fn (string $function): bool => $function !== 'throttle' || $controller->passesThrottle !== false,
        ));
    }

    /** How many channels its functions take; the four sticks at least. */
    public function channels(): int
    {
        return max(ChannelOrder::STICKS, count(array_unique($this->functions)));
    }
}
