<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** Weights of a stick's input and of its mix in the handset, %; below 0 each reverses, and two of them cancel out. */
final readonly class SetWeights implements Intent
{
    private const WORDS = ['weight' => 'input weight', 'mix_weight' => 'mix weight'];

    /** @param  Node  $told  `channel`, and what is set of it; null takes it back. */
    public function __construct(private int $channel, private Node $told)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('channel'), $told);
    }

    /** @throws DocumentError at `channel` if no stick rides on it. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $row = (new TravelReview($rig))->row($this->channel) ?? throw DocumentError::at('channel', "Channel $this->channel carries no stick of this rig.", 'no_such_channel');
        [$values, $words] = [[], []];
        foreach (self::WORDS as $key => $word) {
            if ($this->told->has($key)) {
                $values[$key] = $this->told->numberOrNull($key);
                $words[] = $word.' '.($values[$key] === null ? 'as usual' : sprintf('%g %%', $values[$key]));
            }
        }

        return new Deed(ChannelItems::of($rig)->put($this->channel, $values)->patch(), "$row->function: ".implode(', ', $words));
    }
}
