<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What became of one move of the script. */
final readonly class MoveRead
{
    /** @param  Way|null  $way  The one that counts; null: none does, or it is a rest. */
    private function __construct(public MoveState $state, public ?Way $way = null, public ?Event $event = null)
    {
    }

    public static function rest(): self
    {
        return new self(MoveState::Found);
    }

    public static function notSeen(): self
    {
        return new self(MoveState::NotSeen);
    }

    /** @param  Event|null  $event  What moved meanwhile; null: one of several. */
    public static function unclear(?Event $event): self
    {
        return new self(MoveState::Unclear, null, $event);
    }

    public static function of(Event $event, Attempts $attempts): self
    {
        return new self($attempts->isTwice ? MoveState::Twice : MoveState::Found, $attempts->last, $event);
    }

    /** @param  int  $k  Its place in the script, from 0. */
    public function answer(int $k): \stdClass
    {
        return (object) ['move' => $k, 'state' => $this->state, 'channel' => $this->way?->line->channel, 'also' => $this->also(), 'from_ms' => $this->fromMs(), 'to_ms' => $this->toMs()];
    }

    /** @return list<int> Channels that moved with it. */
    public function also(): array
    {
        return $this->event->also ?? [];
    }

    public function fromMs(): ?float
    {
        return $this->way->fromMs ?? $this->event->ways[0]->fromMs ?? null;
    }

    public function toMs(): ?float
    {
        $ways = $this->event->ways ?? [];

        return $this->way->toMs ?? ($ways === [] ? null : $ways[count($ways) - 1]->toMs);
    }
}
