<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ServoRange;

/** What of a rig decides its travel: the handset's scale, what reads the channels, the servos, and the school followed. */
final readonly class TravelContext
{
    private const LO = 1000.0;

    private const MID = 1500.0;

    private const HI = 2000.0;

    public HandsetCard $card;

    public HandsetTravel $handset;

    public function __construct(public RigDocument $rig)
    {
        $this->card = new HandsetCard($rig);
        $this->handset = $this->card->travel();
    }

    /**
     * Channels that move with a stick: the four of the functions told, and servos that no switch carries; else the four sticks.
     *
     * @return array<int, string> Function by handset channel.
     */
    public function channels(): array
    {
        $onSwitch = array_map(static fn (Node $entry): string => $entry->text('function'), $this->rig->settings()->nodes('switches'));
        $channels = [];
        foreach ($this->rig->functions() ?? [] as ['function' => $function, 'channel' => $channel]) {
            $letter = Letter::ofFunction($function);
            if ($letter !== null) {
                $channels[$this->rig->handsetOrder()?->channelOf($letter) ?? $channel] = $function;
            } elseif ($this->isServo($function) && ! in_array($function, $onSwitch, true)) {
                $channels[$channel] = $function;
            }
        }
        if ($channels === []) {
            foreach ($this->rig->handsetOrder()?->letters() ?? [] as $k => $letter) {
                $channels[$k + 1] = $letter->functionName();
            }
        }
        ksort($channels);

        return $channels;
    }

    /** The first controller behind the last receiver: it reads the values, and its thresholds count. */
    public function reader(): ?Controller
    {
        $reader = null;
        foreach ($this->rig->boxes as $box) {
            if ($box instanceof Receiver) {
                $reader = null;
            } elseif ($box instanceof Controller) {
                $reader ??= $box;
            }
        }

        return $reader;
    }

    /** What all servos of a function stand together. */
    public function servos(string $function): ServoRange
    {
        $range = new ServoRange(null, null);
        $craft = $this->rig->cards === [] ? null : $this->rig->cards[count($this->rig->cards) - 1];
        foreach ($craft?->node()->nodes('servos') ?? [] as $servo) {
            if ($servo->text('function') === $function) {
                $range = $range->and(new ServoRange($servo->numberOrNull('safe_lo_us'), $servo->numberOrNull('safe_hi_us')));
            }
        }

        return $range;
    }

    /** Whether its middle matters: a throttle has no spring, except where its middle stops the motor. */
    public function centres(string $function): bool
    {
        return $function !== Letter::Throttle->functionName() || $this->rig->motorOffAtCentre();
    }

    /** The school that leaves the handset as it is and sets the reader's range. */
    public function leavesHandset(): bool
    {
        return $this->reader() !== null && $this->rig->settings()->textOrNull('school') === 'leave';
    }

    public function centresInController(): bool
    {
        return $this->reader() !== null && $this->rig->settings()->textOrNull('centring') === 'controller';
    }

    /** Where the lowest, middle and highest value of a channel should be. */
    public function target(int $channel, string $function): Reading
    {
        return $this->ownTarget($channel) ?? $this->servoTarget($function) ?? Reading::of(self::LO, self::MID, self::HI);
    }

    public function targetWhy(int $channel, string $function): string
    {
        $servo = $this->servoTarget($function);

        return match (true) {
            $this->ownTarget($channel) !== null => 'as you set it',
            $servo !== null => sprintf('what the servo stands, %g to %g µs', $servo->lo, $servo->hi),
            $this->reader() !== null => "what {$this->reader()->name} expects",
            default => 'the usual range of a servo',
        };
    }

    private function ownTarget(int $channel): ?Reading
    {
        $own = $this->rig->settings()->node('targets')?->numbersOrNull((string) $channel) ?? [];
        try {
            return count($own) === 3 ? Reading::of($own[0], $own[1], $own[2]) : null;
        } catch (DocumentError) {
            return null;
        }
    }

    private function servoTarget(string $function): ?Reading
    {
        $servos = $this->servos($function);
        $lo = $servos->lo ?? self::LO;
        $hi = $servos->hi ?? self::HI;

        return $this->reader() === null && $servos->isKnown() && $lo < self::MID && $hi > self::MID ? Reading::of($lo, self::MID, $hi) : null;
    }

    private function isServo(string $function): bool
    {
        $craft = $this->rig->craftBox();

        return $craft instanceof ServoSet && in_array($function, $craft->functions, true);
    }
}
