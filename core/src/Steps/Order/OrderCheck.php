<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;

/** What was seen to move when each stick was moved, against what should move. */
final readonly class OrderCheck
{
    /** @param  list<OrderCheckRow>  $rows  In handset order. */
    private function __construct(public array $rows, private OrderTrace $trace, private OrderReview $order)
    {
    }

    /**
     * @param  array<string, Seen>  $seen  By stick letter.
     *
     * @throws DocumentError if the order of this rig cannot be traced, or a stick is missing.
     */
    public static function of(OrderReview $order, array $seen): self
    {
        $trace = $order->trace ?? throw DocumentError::at('', $order->unjudged ?? 'The order cannot be traced yet.', 'not_joined');
        $rows = [];
        foreach ([1, 2, 3, 4] as $channel) {
            $letter = $trace->handset->at($channel);
            $found = $seen[$letter->value] ?? throw DocumentError::at("seen.$letter->value", "Nothing is said of stick $letter->value; expected what moved, or null.", 'missing_key');
            $expected = $trace->arrivesOn($channel);
            $rows[] = new OrderCheckRow($letter, $found->channel, $expected, self::movedLetter($order, $trace, $found->channel), $found->reversed, $found->channel === $expected);
        }

        return new self($rows, $trace, $order);
    }

    /** Whether everything moved as these settings say, and these settings are right. */
    public function passes(): bool
    {
        return $this->wrong() === [] && $this->order->isRight();
    }

    public function sentence(): string
    {
        $wrong = $this->wrong();
        if ($wrong === []) {
            return $this->order->isRight()
                ? 'Each stick moves what it should.'
                : 'The sticks move as the settings say, and that is still the wrong order: mend it first.';
        }
        if (array_filter($this->rows, static fn (OrderCheckRow $row): bool => $row->channel !== null) === []) {
            return 'Nothing moved at all: the link is down, or the reader takes the wire for another format.';
        }
        $parts = array_map(static fn (OrderCheckRow $row): string => "stick {$row->letter->value} moved ".($row->channel === null ? 'nothing' : "channel $row->channel")." instead of channel $row->expected", $wrong);

        return ucfirst(implode('; ', $parts)).'.';
    }

    /** What would explain what was seen: a module that remaps although it should not, or the reverse, or another handset order. */
    public function explanation(): ?string
    {
        if ($this->wrong() === []) {
            return null;
        }
        $byHandset = $this->explainedByHandset();
        $byPlugs = $this->explainedByPlugs();

        return $this->explainedByModule() ?? ($byPlugs === null ? $byHandset : $byPlugs.($byHandset === null ? '' : " Or no plug is wrong: $byHandset"));
    }

    /** The check that it makes, with the settings it was made with. */
    public function made(string $by, string $at): CheckMade
    {
        $expected = array_map(static fn (OrderCheckRow $row): string => "{$row->letter->value} on $row->expected", $this->rows);
        $observed = array_map(static fn (OrderCheckRow $row): string => "{$row->letter->value} on ".($row->channel ?? 'none'), $this->rows);

        return new CheckMade(CheckKind::Order, null, $this->passes(), implode(', ', $expected), implode(', ', $observed), $by, $at);
    }

    /** @return list<OrderCheckRow> */
    private function wrong(): array
    {
        return array_values(array_filter($this->rows, static fn (OrderCheckRow $row): bool => ! $row->ok));
    }

    private function explainedByModule(): ?string
    {
        foreach ($this->order->modules() as $entry) {
            if ($entry->remap === null) {
                continue;
            }
            $other = new OrderTrace($this->trace->handset, $this->trace->reader, $entry->isOn ? [] : [new Remap($entry->remap->expects, $entry->remap->sends)]);
            if ($this->fits($other)) {
                return "This is what you would see with remapping in {$entry->module->name} ".($entry->isOn ? 'off' : 'on').'; the rig says it is '.($entry->isOn ? 'on.' : 'off.');
            }
        }

        return null;
    }

    /** One plug or several in the wrong pin, where every channel comes out of a pin of its own. */
    private function explainedByPlugs(): ?string
    {
        if ($this->order->taker?->byPwm !== true) {
            return null;
        }
        $parts = [];
        foreach ($this->wrong() as $row) {
            $moved = $row->channel === null ? null : self::movedLetter($this->order, $this->trace, $row->channel);
            if ($moved !== null) {
                $parts[] = "the {$moved->functionName()} plug stands in pin $row->expected";
            }
        }

        return $parts === [] ? null : ucfirst(implode('; ', $parts)).'.';
    }

    private function explainedByHandset(): ?string
    {
        $byChannel = [];
        foreach ($this->rows as $row) {
            if ($row->channel === null || $row->channel > ChannelOrder::STICKS || isset($byChannel[$row->channel])) {
                return null;
            }
            $byChannel[$row->channel] = $row->letter;
        }
        $arriving = ChannelOrder::fromChannels($byChannel);

        return "The sticks arrive in the order {$arriving->toString()}. Look at the handset's channel order for this model: it may not be {$this->trace->handset->toString()}.";
    }

    private function fits(OrderTrace $trace): bool
    {
        foreach ([1, 2, 3, 4] as $k => $channel) {
            if ($trace->arrivesOn($channel) !== $this->rows[$k]->channel) {
                return false;
            }
        }

        return true;
    }

    private static function movedLetter(OrderReview $order, OrderTrace $trace, ?int $channel): ?Letter
    {
        if ($channel === null || $channel < 1 || $channel > ChannelOrder::STICKS) {
            return null;
        }

        return $order->isMendedByPlugs() ? $trace->arriving()->at($channel) : $trace->reader->at($channel);
    }
}
