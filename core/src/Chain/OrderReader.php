<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Receiver;

/** What takes channels 1–4 for which controls: the first controller behind the last receiver, else labelled pins. */
final readonly class OrderReader
{
    /**
     * @param  bool  $byPwm  Read by separate wires: plugs can be moved.
     * @param  Controller|null  $controller  Null: the pins themselves.
     * @param  Joint  $joint  The coupling over which it is read.
     */
    private function __construct(public ChannelOrder $order, public bool $byPwm, public ?Controller $controller, public Joint $joint, public bool $isUnlabelled = false)
    {
    }

    /**
     * Null where nothing can be judged: no order on the controller's card, no labels that name A, E, T, R at pins 1–4.
     *
     * @param  list<Joint>  $joints
     * @param  ChannelOrder|null  $controllerOrder  The order set in the controller, where it is not the card's.
     */
    public static function of(array $joints, ?ChannelOrder $controllerOrder = null): ?self
    {
        foreach (self::behindLastReceiver($joints) as $joint) {
            if ($joint->to instanceof Controller) {
                $order = $controllerOrder ?? $joint->to->order;

                return $order === null ? null : new self($order, $joint->isPwm(), $joint->to, $joint);
            }
        }
        $last = $joints[count($joints) - 1] ?? null;
        $order = $last === null ? null : self::fromLabels($last->output->labels ?? []);

        return $order === null ? null : new self($order, true, null, $last);
    }

    /** Pins with nothing printed on them: whatever arrives on a pin belongs there. */
    public static function unlabelled(ChannelOrder $arriving, Joint $joint): self
    {
        return new self($arriving, true, null, $joint, true);
    }

    /** @param  list<string>  $labels */
    private static function fromLabels(array $labels): ?ChannelOrder
    {
        $first = array_filter(array_slice($labels, 0, 4), static fn (string $label): bool => strlen($label) === 1);

        return ChannelOrder::tryOf(implode('', $first));
    }

    /**
     * @param  list<Joint>  $joints
     * @return list<Joint>
     */
    private static function behindLastReceiver(array $joints): array
    {
        $behind = [];
        foreach ($joints as $joint) {
            if ($joint->from instanceof Receiver) {
                $behind = [];
            }
            $behind[] = $joint;
        }

        return $behind;
    }
}
