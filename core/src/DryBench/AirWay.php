<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Radio;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;

/** A link through the air: it carries so many channels, in steps where its cards tell them. */
final readonly class AirWay implements Way
{
    private const CHANNELS_OF_MODE = ['1-8' => 8, '1-16' => 16];

    /** @param  list<string>  $modes  Numbers of channels that its sender offers. */
    private function __construct(
        private string $from,
        private string $to,
        private string $via,
        private ?int $most,
        private float $periodMs,
        private ?int $levels,
        private Scale $scale,
        public array $modes,
    ) {
    }

    /**
     * @param  Node  $link  As recorded in the rig.
     * @param  string|null  $mode  The channel mode set for the rig.
     */
    public static function of(Box $sender, Receiver $receiver, Node $link, ?string $mode, Scale $scale): self
    {
        $via = $link->text('via');
        $sent = Protocol::named($via, array_merge(...array_map(static fn (Radio $radio): array => $radio->protocols, AirJoiner::radiosOf($sender))));
        $heard = Protocol::named($via, $receiver->protocols);
        $set = $link->node('settings') ?? new Node(new \stdClass);
        $mode = $set->textOrNull('channel_mode') ?? $mode ?? $sent?->modes[0] ?? null;
        $known = array_filter([self::CHANNELS_OF_MODE[$mode ?? ''] ?? null, $sent?->channels, $heard?->channels], is_int(...));
        $levels = array_filter([$sent?->levels, $heard?->levels], is_int(...));

        return new self(
            $sender->id(),
            $receiver->id,
            $via,
            $known === [] ? null : min($known),
            Periods::recorded($set) ?? $sent?->framesMs[0] ?? $heard?->framesMs[0] ?? AirJoiner::UNKNOWN_PERIOD_MS,
            $levels === [] ? null : min($levels),
            $scale,
            $sent->modes ?? [],
        );
    }

    public function channels(): ?int
    {
        return $this->most;
    }

    public function carry(array $us): array
    {
        if ($this->levels === null) {
            return $us;
        }
        $step = 2 * $this->scale->usPer100 / ($this->levels - 1);

        return array_map(fn (float $value): float => Steps::clean($this->scale->centre + Steps::nearest($value - $this->scale->centre, $step)), $us);
    }

    public function coupling(Carried $sent): Coupling
    {
        return new Coupling($this->from, $this->to, $this->via, $sent->isSilent === true ? null : $this->carry($sent->us), null, null, $this->periodMs, false, new \stdClass, $sent->isSilent);
    }
}
