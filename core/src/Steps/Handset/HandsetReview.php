<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Rig\CraftKind;
use Linguator\Core\Rig\OtherRig;
use Linguator\Core\Rig\RigDocument;

/** Getting the handset ready for this craft: a checklist with what it takes computed, before anything is judged. */
final readonly class HandsetReview
{
    /** Ticks are kept in the rig's `done` under this box. */
    public const BOX = 'handset';

    public const CALIBRATION = 'calibration';

    /** @param  list<OtherRig>  $others  Rigs of the same handset. */
    public function __construct(private RigDocument $rig, private array $others = [])
    {
    }

    public static function isDone(RigDocument $rig, string $key): bool
    {
        return $rig->settings()->node('done')?->get(self::BOX."/$key") === true;
    }

    /** @return list<HandsetItem> */
    public function items(): array
    {
        if ($this->rig->boxes->handset() === null) {
            return [];
        }
        $items = [
            $this->item(self::CALIBRATION, 'Stick calibration', 'Full travel and centre, once, before any value is judged. A wrong calibration looks like every other fault.'),
            ...$this->battery(),
            $this->item('memory', 'Model memory', $this->template(), $this->memoryName(), $this->memoryClash()),
            $this->item('active', 'The right memory is active', 'Look at its name on the screen before changing anything, and again after saving.', $this->rig->name()),
            $this->item('receiver_number', 'Receiver number', 'The same number for identical craft on one memory; another for every other craft.', $this->number(), $this->numberClash()),
            $this->item('trims', 'Trims', $this->stabilised() ? 'Off for this craft: a stabilising controller takes a bumped trim for a stick held over.' : 'Centred, and in small steps.'),
            ...($this->stabilised() ? [$this->item('flight_modes', 'Flight modes inside the handset', 'Off: the controller does the modes, and a handset mode moves switches behind your back.')] : []),
            $this->item('warning', 'Switch warning at power-up', $this->has('arm') ? 'Arm off, everything else neutral.' : 'Everything neutral.'),
            ...($this->has('throttle') ? [$this->item('cut', 'Throttle cut', 'On a switch within reach, for anything with a motor.')] : []),
            $this->item('timer', 'Timer and call-outs', $this->has('throttle') ? 'A timer that runs with the throttle; a spoken word for each position of arm and mode.' : 'A timer, and a spoken word for each switch position that matters.'),
        ];

        return $items;
    }

    /** @return list<HandsetItem> */
    private function battery(): array
    {
        $pack = $this->rig->pack();

        return [$pack === null
            ? $this->item('alarm', 'Battery alarm', 'Say on the Path step which pack is in the handset; the alarm follows from it.')
            : $this->item('alarm', 'Battery alarm and meter', sprintf('Alarm at %g V, meter from %g to %g V. Never charge one chemistry through the other\'s socket.', $pack->low(), $pack->meterFrom(), $pack->full()), $pack->label())];
    }

    private function template(): string
    {
        return $this->stabilised()
            ? 'Start from a plain or multirotor template: no mixes, trims off, the short frame period. Name it for the craft and for the path.'
            : 'Start from the template of the craft. Name it for the craft and for the path.';
    }

    private function memoryName(): ?string
    {
        $memory = $this->rig->settings()->get('memory');

        return is_int($memory) || is_string($memory) ? (string) $memory : null;
    }

    private function number(): ?string
    {
        $number = $this->rig->settings()->intOrNull('receiver_number');

        return $number === null ? null : (string) $number;
    }

    private function memoryClash(): ?string
    {
        $memory = $this->memoryName();
        $same = array_filter($this->others, fn (OtherRig $other): bool => $memory !== null && $other->memory === $memory && $other->receiverNumber !== $this->rig->settings()->intOrNull('receiver_number'));

        return $same === [] ? null : 'Also used by '.implode(', ', array_column($same, 'name')).' with another receiver number.';
    }

    private function numberClash(): ?string
    {
        [$memory, $number] = [$this->memoryName(), $this->rig->settings()->intOrNull('receiver_number')];
        $same = array_filter($this->others, static fn (OtherRig $other): bool => $number !== null && $other->receiverNumber === $number && $other->memory !== $memory);

        return $same === [] ? null : 'The same number as '.implode(', ', array_column($same, 'name')).', in another memory: the wrong memory would move this craft too.';
    }

    private function stabilised(): bool
    {
        return $this->rig->kind() === CraftKind::Multirotor || $this->rig->boxes->controller() !== null;
    }

    private function has(string $function): bool
    {
        return $this->rig->functions()?->has($function) ?? $function === Letter::Throttle->functionName();
    }

    private function item(string $key, string $title, string $text, ?string $value = null, ?string $warning = null): HandsetItem
    {
        return new HandsetItem($key, $title, $text, $value, self::isDone($this->rig, $key), $warning);
    }
}
