<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Document\DocumentError;

/** What was seen to move when each stick was moved, against what should move. */
final readonly class OrderCheck
{
    /** @param  list<array{letter: string, channel: int|null, expected: int, moved: string|null, reversed: bool|null, ok: bool}>  $rows */
    private function __construct(public array $rows, private OrderTrace $trace, private OrderReview $order)
    {
    }

    /**
     * @param  array<string, array{channel: int|null, reversed: bool|null}>  $seen  By stick letter: the channel that moved; null: none did.
     *
     * @throws DocumentError if the order of this rig cannot be traced, or a stick is missing.
     */
    public static function of(OrderReview $order, array $seen): self
    {
        $trace = $order->trace ?? throw DocumentError::at('', $order->unjudged ?? 'The order cannot be traced yet.', 'not_joined');
        $rows = [];
        foreach ([1, 2, 3, 4] as $channel) {
            $letter = $trace->handset->at($channel)->value;
            $found = $seen[$letter] ?? throw DocumentError::at("seen.$letter", "Nothing is said of stick $letter; expected what moved, or null.", 'missing_key');
            $expected = $trace->arrivesOn($channel);
            $rows[] = [
                'letter' => $letter,
                'channel' => $found['channel'],
                'expected' => $expected,
                'moved' => self::movedLetter($order, $trace, $found['channel']),
                'reversed' => $found['reversed'],
                'ok' => $found['channel'] === $expected,
            ];
        }

        return new self($rows, $trace, $order);
    }

    /** The channel on which something that moved is read; null for nothing. */
    public static function channelOfMoved(OrderReview $order, ?string $letter): ?int
    {
        $moved = $letter === null ? null : Letter::tryFrom($letter);
        if ($moved === null || $order->trace === null) {
            return null;
        }

        return $order->isMendedByPlugs() ? $order->trace->arriving()->channelOf($moved) : $order->trace->reader->channelOf($moved);
    }

    /** Whether everything moved as these settings say, and these settings are right. */
    public function passes(): bool
    {
        return ! in_array(false, array_column($this->rows, 'ok'), true) && $this->order->isRight();
    }

    public function sentence(): string
    {
        $wrong = array_values(array_filter($this->rows, static fn (array $row): bool => ! $row['ok']));
        if ($wrong === []) {
            return $this->order->isRight()
                ? 'Each stick moves what it should.'
                : 'The sticks move as the settings say, and that is still the wrong order: mend it first.';
        }
        if (count(array_filter($wrong, static fn (array $row): bool => $row['channel'] === null)) === count($this->rows)) {
            return 'Nothing moved at all: the link is down, or the reader takes the wire for another format.';
        }
        $parts = array_map(static fn (array $row): string => "stick {$row['letter']} moved ".($row['channel'] === null ? 'nothing' : "channel {$row['channel']}")." instead of channel {$row['expected']}", $wrong);

        return ucfirst(implode('; ', $parts)).'.';
    }

    /** What would explain what was seen: a module that remaps although it should not, or the reverse, or another handset order. */
    public function explanation(): ?string
    {
        if (! in_array(false, array_column($this->rows, 'ok'), true)) {
            return null;
        }
        foreach ($this->order->modules as $entry) {
            $sends = $entry['sends'];
            $expects = $entry['module']->expects;
            if ($sends === null || $expects === null) {
                continue;
            }
            $other = new OrderTrace($this->trace->handset, $this->trace->reader, $entry['on'] ? [] : [new Remap($expects, $sends)]);
            if ($this->fits($other)) {
                return "This is what you would see with remapping in {$entry['module']->name} ".($entry['on'] ? 'off' : 'on').'; the rig says it is '.($entry['on'] ? 'on.' : 'off.');
            }
        }
        $byChannel = [];
        foreach ($this->rows as $row) {
            if ($row['channel'] === null || $row['channel'] > 4 || isset($byChannel[$row['channel']])) {
                return null;
            }
            $byChannel[$row['channel']] = Letter::from($row['letter']);
        }
        $arriving = ChannelOrder::fromChannels($byChannel);

        return "The sticks arrive in the order {$arriving->toString()}. Look at the handset's channel order for this model: it may not be {$this->trace->handset->toString()}.";
    }

    private function fits(OrderTrace $trace): bool
    {
        foreach ([1, 2, 3, 4] as $k => $channel) {
            if ($trace->arrivesOn($channel) !== $this->rows[$k]['channel']) {
                return false;
            }
        }

        return true;
    }

    private static function movedLetter(OrderReview $order, OrderTrace $trace, ?int $channel): ?string
    {
        if ($channel === null || $channel < 1 || $channel > 4) {
            return null;
        }

        return $order->isMendedByPlugs() ? $trace->arriving()->at($channel)->value : $trace->reader->at($channel)->value;
    }
}
