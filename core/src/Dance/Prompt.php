<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** When a move was asked for. Until the next one that is its time. */
final readonly class Prompt
{
    /** @param  int  $move  Of the script, from 0. */
    public function __construct(public int $move, public float $ms, public float $endMs)
    {
    }

    /**
     * @param  int  $moves  How many the script has.
     * @return list<self>|null Null: nobody was prompted.
     *
     * @throws DocumentError if a prompt is beyond the script or before the one before it.
     */
    public static function all(Node $told, int $moves): ?array
    {
        $nodes = $told->nodes('prompts');
        $prompts = [];
        foreach ($nodes as $k => $node) {
            $move = $node->int('move');
            if ($move >= $moves) {
                throw DocumentError::at("prompts.$k.move", "Found move $move; expected one of the script's $moves, counted from 0.", 'no_such_move');
            }
            if ($k > 0 && $node->number('t_ms') < $nodes[$k - 1]->number('t_ms')) {
                throw DocumentError::at("prompts.$k.t_ms", sprintf('Found %g ms after %g ms; expected prompts in the order of their time.', $node->number('t_ms'), $nodes[$k - 1]->number('t_ms')), 'not_in_order');
            }
            $prompts[] = new self($move, $node->number('t_ms'), isset($nodes[$k + 1]) ? $nodes[$k + 1]->number('t_ms') : INF);
        }

        return $told->has('prompts') ? $prompts : null;
    }

    /** How much of a stretch of time lies in it, ms. */
    public function shareOf(float $fromMs, float $toMs): float
    {
        return max(0.0, min($toMs, $this->endMs) - max($fromMs, $this->ms));
    }
}
