<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;

/** A cause put into a simulated rig: what it changes there, and by how much. */
final readonly class Fault
{
    /**
     * @param  Node  $measure  Of this cause, as the data has it.
     * @param  int|null  $channel  At the handset; null: the first control that it can concern.
     */
    private function __construct(
        public string $cause,
        public Change $does,
        public Node $measure,
        public ?int $channel = null,
        public ?float $us = null,
        public ?ChannelOrder $order = null,
        public ?int $hop = null,
    ) {
    }

    /**
     * @param  Node  $told  With `cause` and `with`.
     *
     * @throws DocumentError at `cause` below the path given.
     */
    public static function fromNode(Node $told, string $path): self
    {
        $fault = self::tryOf($told->text('cause')) ?? throw DocumentError::at("$path.cause", 'Found '.Excerpt::of($told->text('cause')).'; expected one of '.implode(', ', self::causes()).'.', 'no_such_cause');
        $with = $told->node('with') ?? new Node(new \stdClass);

        return new self($fault->cause, $fault->does, $fault->measure, $with->intOrNull('channel'), $with->numberOrNull('us'), ChannelOrder::tryOf($with->textOrNull('order')), $with->intOrNull('hop'));
    }

    public static function tryOf(string $cause): ?self
    {
        $measure = self::data()->node($cause);

        return $measure === null ? null : new self($cause, Change::from($measure->text('does')), $measure);
    }

    /** @return list<string> Causes that can be shown on a bench. */
    public static function causes(): array
    {
        return array_map(strval(...), array_keys(get_object_vars(self::data()->value)));
    }

    /** How far, µs. */
    public function amount(): float
    {
        return $this->us ?? $this->measure->number('us');
    }

    private static function data(): Node
    {
        /** @var Node|null $data */
        static $data = null;
        $read = $data === null ? DataFile::read('diagnosis/faults.yaml') : null;

        return $data ??= new Node($read instanceof \stdClass ? $read : new \stdClass);
    }
}
