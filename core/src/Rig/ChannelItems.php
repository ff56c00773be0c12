<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/** What a rig has set for each channel of the handset, changed channel by channel. */
final readonly class ChannelItems
{
    private function __construct(private Items $items)
    {
    }

    public static function of(RigDocument $rig): self
    {
        return new self(Items::of($rig, 'settings.channels'));
    }

    /** @param  array<string, mixed>  $values  Null takes a key out. */
    public function put(int $channel, array $values): self
    {
        return new self($this->items->put(static fn (Node $item): bool => $item->int('channel') === $channel, $values, ['channel' => $channel])->sortedBy('channel'));
    }

    public function patch(): RigPatch
    {
        return $this->items->patch();
    }
}
