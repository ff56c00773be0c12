<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Document\Node;
use Linguator\Core\Format\ChannelFrames;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Wire\WireFormats;

/** A wire: serial formats carry counts, and what arrives is what the counts stand for; pulses carry any width. */
final readonly class WireWay implements Way
{
    private function __construct(
        private string $from,
        private string $to,
        public string $via,
        private ?FormatCard $card,
        public OutputPort $output,
        private float $periodMs,
        private bool $isInverted,
    ) {
    }

    /** @param  Node  $link  As recorded in the rig. */
    public static function of(Box $from, Box $to, Node $link, Formats $formats): self
    {
        $via = $link->text('via');
        $set = $link->node('settings') ?? new Node(new \stdClass);
        $output = self::output($from, $via, $set);
        $card = $formats->get($via);
        $isFlipped = ($set->textOrNull('polarity') ?? $output->polarity) === 'flipped';

        return new self(
            $from->id(),
            $to->id(),
            $via,
            $card,
            $output,
            Periods::recorded($set) ?? $output->periodsMs[0] ?? $output->format->usualMs,
            ($card->isInverted ?? false) !== $isFlipped,
        );
    }

    /** A receiver's own pins, for what is plugged past a controller. */
    public static function pins(Receiver $from, Box $to): self
    {
        return self::of($from, $to, new Node((object) ['from' => $from->id, 'to' => $to->id(), 'via' => 'pwm']), Formats::shipped());
    }

    /**
     * Outputs of a controller, pin by pin.
     *
     * @param  list<float|null>|null  $us  Null: none puts out anything.
     */
    public function outputs(?array $us, ?bool $isSilent): Coupling
    {
        return $this->seen($us, null, null, [], $isSilent);
    }

    /** The same wire, the other way up. */
    public function flipped(): self
    {
        return new self($this->from, $this->to, $this->via, $this->card, $this->output, $this->periodMs, ! $this->isInverted);
    }

    public function isPwm(): bool
    {
        return $this->output->isPwm();
    }

    public function isTrain(): bool
    {
        return $this->output->format->id === 'ppm';
    }

    public function channels(): ?int
    {
        return $this->isPwm() && $this->output->remappable ? null : $this->output->channels;
    }

    public function carry(array $us): array
    {
        if ($this->card === null) {
            return $us;
        }
        $frames = ChannelFrames::of($this->card, $us);
        $arrived = array_map($this->card->scale->us(...), array_slice(array_values($frames->counts), 0, $frames->told()));
        foreach (array_slice(array_values(ChannelFrames::digital($this->card, $us)), 0, max(0, count($us) - $this->card->mostChannels)) as $isOn) {
            $arrived[] = $isOn ? Pulse::HIGH_US : Pulse::LOW_US;
        }

        return $arrived;
    }

    public function coupling(Carried $sent): Coupling
    {
        if ($sent->isSilent === true) {
            return $this->seen(null, null, null, [], true);
        }
        if ($this->card === null) {
            return $this->seen($sent->us, null, null, [], $sent->isSilent);
        }
        $frames = ChannelFrames::of($this->card, $sent->us);
        $flags = array_intersect_key(['frame_lost' => false, 'failsafe' => $sent->isFlagged], $this->card->flagPart()?->flagBits() ?? []);
        $bytes = array_map((new Encoder($this->card))->encode(...), $frames->frames([...$flags, ...ChannelFrames::digital($this->card, $sent->us)]));

        return $this->seen($this->carry($sent->us), array_slice(array_values($frames->counts), 0, $frames->told()), bin2hex(implode('', $bytes)), $flags, $sent->isSilent);
    }

    /** Whether its frames say that a link is lost. */
    public function carriesFlag(): bool
    {
        return $this->output->format->failsafeFlag;
    }

    /**
     * @param  list<float|null>|null  $us
     * @param  list<int>|null  $raw
     * @param  array<string, bool>  $flags
     */
    private function seen(?array $us, ?array $raw, ?string $hex, array $flags, ?bool $isSilent): Coupling
    {
        return new Coupling($this->from, $this->to, $this->via, $us, $raw, $hex, $this->periodMs, $this->isInverted, (object) $flags, $isSilent);
    }

    /** The port that was recorded; else the first of this format. */
    private static function output(Box $from, string $via, Node $set): OutputPort
    {
        $ofFormat = array_values(array_filter($from->ports()->outputs, static fn (OutputPort $port): bool => $port->format->id === $via));
        foreach ($ofFormat as $port) {
            if (in_array($set->textOrNull('port'), [null, $port->place->value], true) && in_array($set->textOrNull('output_mode'), [null, $port->mode], true)) {
                return $port;
            }
        }

        return $ofFormat[0] ?? new OutputPort(WireFormats::get($via));
    }
}
