<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** A game as a screen tells it: seed, level, and every move so far. The bench remembers nothing of it. */
final readonly class PracticeQuestion
{
    /** @param  Node  $told  What has passed `practice-question.schema.json`. */
    public function __construct(private Node $told)
    {
    }

    public function seed(): string
    {
        return $this->told->text('seed');
    }

    public function level(): Level
    {
        return Level::from($this->told->textOrNull('level') ?? Level::Plain->value);
    }

    /** @throws DocumentError at `rig`, or at the move that cannot be made. */
    public function playedOn(RigDocument $rig, Formats $formats): Play
    {
        $moves = [];
        foreach ($this->told->nodes('moves') as $k => $move) {
            $moves[] = Move::fromNode($move, "moves.$k");
        }

        return new Play(Game::draw($rig, $this->seed(), $this->level(), $formats, $moves !== []), $moves);
    }
}
