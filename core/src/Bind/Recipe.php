<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

use Linguator\Core\Document\Node;

/** How to bind exactly these two boxes, step by step, from what their cards say of them. */
final readonly class Recipe
{
    private const SENDER_ENTERS = [
        'menu' => 'Choose bind in the menu of %s.',
        'button' => 'Press the bind button of %s.',
        'button_at_power_on' => 'Hold the bind button of %s while you switch it on.',
        'automatic' => '%s looks for a receiver by itself in the first seconds after it is switched on.',
        'software' => 'Start binding for %s from its software.',
        'power_cycles' => 'Switch %s off and on three times, a second apart.',
        'plug' => 'Put the bind plug into %s.',
        'sticks_in_corner' => 'Hold the sticks of %s in the corner.',
    ];

    private const RECEIVER_ENTERS = [
        'button' => 'Hold the button of %s, give it power, let go when the light changes.',
        'plug' => 'Put the bind plug into %s, then give it power.',
        'power_cycles' => 'Give %s power three times: on, off, on, off, on, a second apart.',
        'automatic' => 'Give %s power: it looks for a handset by itself.',
        'menu' => 'Give %s power and choose bind in its menu.',
        'button_at_power_on' => 'Hold the button of %s while you give it power.',
        'software' => 'Give %s power and start binding from its software.',
        'sticks_in_corner' => 'Hold the sticks in the corner and give %s power.',
    ];

    private const CORNERS = [
        'lower_left' => 'the left stick down and to the left', 'lower_right' => 'the right stick down and to the right',
        'upper_left' => 'the left stick up and to the left', 'upper_right' => 'the right stick up and to the right',
        'both_lower_right' => 'both sticks down and to the right', 'both_lower_left' => 'both sticks down and to the left',
    ];

    private const STICK_AT = [
        'lower_left' => 'down and to the left', 'lower_right' => 'down and to the right',
        'upper_left' => 'up and to the left', 'upper_right' => 'up and to the right', 'middle' => 'in its middle',
    ];

    /**
     * @param  Node|null  $senderTraits  The card's `bind`; null: not known.
     * @param  bool  $storesFailsafe  The receiver keeps what the sticks say at this moment for a lost link.
     */
    public function __construct(
        private string $sender,
        private ?Node $senderTraits,
        private string $receiver,
        private ?Node $receiverTraits,
        private string $protocol,
        private bool $storesFailsafe,
        private bool $throttleAtCentre,
    ) {
    }

    /** @return list<RecipeStep> */
    public function steps(): array
    {
        return [
            new RecipeStep('Propellers off, or wheels and hull clear. Antennas on. Other handsets off. Low power, two metres apart.'),
            ...$this->failsafe(),
            ...$this->senderFirst(),
            ...$this->receiverEnters(),
            new RecipeStep("Wait until $this->receiver shows that it is linked.", $this->light($this->receiverTraits, 'linked')),
            ...$this->leave(),
            new RecipeStep('Switch both off and on again, the handset first: the link must come back by itself.', $this->light($this->receiverTraits, 'linked')),
        ];
    }

    /** What proves a bind: the light follows the handset. */
    public function proof(): string
    {
        return "Switch the handset off: the light of $this->receiver must change. On again: it must return.";
    }

    /** @return list<RecipeStep> */
    private function failsafe(): array
    {
        return $this->storesFailsafe ? [new RecipeStep(
            "$this->receiver stores its failsafe now: throttle ".($this->throttleAtCentre ? 'in the middle' : 'low').', sticks centred, switches off and neutral.',
        )] : [];
    }

    /** @return list<RecipeStep> */
    private function senderFirst(): array
    {
        $methods = $this->senderTraits?->texts('methods') ?? [];
        $steps = [new RecipeStep("Set $this->sender to $this->protocol.")];
        $how = self::SENDER_ENTERS[$methods[0] ?? ''] ?? 'Bring %s into bind mode, as its manual says.';
        $steps[] = new RecipeStep(sprintf($how, $this->sender), $this->light($this->senderTraits, 'bind'), $this->senderTraits?->numberOrNull('window_s'));

        return $steps;
    }

    /** @return list<RecipeStep> */
    private function receiverEnters(): array
    {
        $methods = $this->receiverTraits?->texts('methods') ?? [];
        $how = self::RECEIVER_ENTERS[$methods[0] ?? ''] ?? 'Give %s power and bring it into bind mode, as its manual says.';
        $window = $this->receiverTraits?->numberOrNull('window_s');
        $text = sprintf($how, $this->receiver);
        $corner = $this->sticks() ?? self::CORNERS[$this->receiverTraits?->textOrNull('corner') ?? ''] ?? null;
        if ($corner !== null) {
            $text .= " Hold $corner.";
        }
        if ($window !== null) {
            $text .= sprintf(' It listens for %g seconds only.', $window);
        }

        return [new RecipeStep($text, $this->light($this->receiverTraits, 'bind'), $window)];
    }

    /** Where each stick is held, by itself; null: the card tells of neither. */
    private function sticks(): ?string
    {
        $held = [];
        foreach (['left', 'right'] as $side) {
            $at = $this->receiverTraits?->textOrNull("{$side}_stick");
            if ($at !== null) {
                $held[] = "the $side stick ".self::STICK_AT[$at];
            }
        }

        return $held === [] ? null : implode(', ', $held);
    }

    /** @return list<RecipeStep> */
    private function leave(): array
    {
        $takesPlugOut = in_array('plug', $this->receiverTraits?->texts('methods') ?? [], true);

        return [new RecipeStep('Leave bind mode on the handset'.($takesPlugOut ? ", and take the bind plug out of $this->receiver." : '.'))];
    }

    private function light(?Node $traits, string $when): ?string
    {
        return $traits?->node('lights')?->textOrNull($when);
    }
}
