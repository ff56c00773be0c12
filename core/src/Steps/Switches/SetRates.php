<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** Rate, low rate or expo of a stick, %. */
final readonly class SetRates implements Intent
{
    private const WORDS = ['rate_pct' => 'rate', 'low_rate_pct' => 'low rate', 'expo_pct' => 'expo'];

    /** @param  Node  $told  `channel`, and what is set of it; null takes it back. */
    public function __construct(private int $channel, private Node $told)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('channel'), $told);
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $rates = array_column((new SwitchReview($rig))->rates(), 'function', 'channel');
        $function = $rates[$this->channel] ?? throw DocumentError::at('channel', "Channel $this->channel carries no stick with rates.", 'no_such_channel');
        [$values, $words] = [[], []];
        foreach (self::WORDS as $key => $word) {
            if ($this->told->has($key)) {
                $values[$key] = $this->told->numberOrNull($key);
                $words[] = $word.' '.($values[$key] === null ? 'none' : sprintf('%g %%', $values[$key]));
            }
        }

        return new Deed(ChannelItems::of($rig)->put($this->channel, $values)->patch(), "$function: ".implode(', ', $words));
    }
}
