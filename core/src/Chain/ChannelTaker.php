<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Gear\Controller;

/** What takes channels 1–4 for which controls: the first controller behind the last receiver, else labelled pins. */
final readonly class ChannelTaker
{
    /**
     * @param  bool  $byPwm  Read by separate wires: plugs can be moved.
     * @param  Controller|null  $controller  Null: the pins themselves.
     * @param  Joint  $joint  The coupling over which it is read.
     * @param  bool  $isUnlabelled  Pins with nothing printed on them: whatever arrives on a pin belongs there.
     */
    private function __construct(public ChannelOrder $order, public bool $byPwm, public ?Controller $controller, public Joint $joint, public bool $isUnlabelled = false)
    {
    }

    /**
     * Null where nothing can be judged: no order on the controller's card, no labels that name A, E, T, R at pins 1–4.
     *
     * @param  ChannelOrder|null  $controllerOrder  The order set in the controller, where it is not the card's.
     */
    public static function of(Joints $joints, ?ChannelOrder $controllerOrder = null): ?self
    {
        $controller = $joints->boxes->controller();
        foreach ($controller === null ? [] : $joints as $joint) {
            if ($joint->to === $controller) {
                $order = $controllerOrder ?? $controller->order;

                return $order === null ? null : new self($order, $joint->isPwm(), $controller, $joint);
            }
        }
        $last = $joints->last();
        $order = self::fromLabels($last->output->labels ?? []);

        return $order === null ? null : new self($order, true, null, $last);
    }

    public static function unlabelled(ChannelOrder $arriving, Joint $joint): self
    {
        return new self($arriving, true, null, $joint, true);
    }

    public function name(): string
    {
        return $this->controller->name ?? $this->joint->from->name();
    }

    /** @param  list<string>  $labels */
    private static function fromLabels(array $labels): ?ChannelOrder
    {
        $first = array_filter(array_slice($labels, 0, ChannelOrder::STICKS), static fn (string $label): bool => strlen($label) === 1);

        return ChannelOrder::tryOf(implode('', $first));
    }
}
