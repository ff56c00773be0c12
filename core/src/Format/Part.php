<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\Node;

/** One part of a frame. */
final readonly class Part
{
    private const KINDS = ['const', 'channels', 'flags', 'count', 'length', 'value', 'check'];

    private const WORD_BITS = 16;

    /** One of KINDS. */
    public string $kind;

    /** @param  Node  $node  Has passed the schema: exactly one of KINDS is there. */
    public function __construct(public Node $node)
    {
        $kinds = array_filter(self::KINDS, $node->has(...));
        $this->kind = reset($kinds) ?: throw new \LogicException('A part without a kind passed its schema.');
    }

    /** @return list<string> Keys the schema cannot ask for. */
    public function needs(): array
    {
        return match ($this->node->textOrNull('channels') ?? ($this->kind === 'check' ? $this->node->text('check') : '')) {
            'packed' => ['bits'],
            'words' => ['order'],
            'tagged' => ['bits', 'in_frame'],
            'crc8' => ['poly', 'from'],
            'crc16' => ['poly', 'from', 'order'],
            'sum16', 'complement16' => ['from', 'order'],
            'sum8', 'complement8', 'carry8' => ['from'],
            default => [],
        };
    }

    public function constant(): ?string
    {
        return $this->kind === 'const' ? (string) hex2bin($this->node->text('const')) : null;
    }

    /** Bits that a channel's count may fill. */
    public function valueBits(): int
    {
        return $this->node->textOrNull('channels') === 'words' ? self::WORD_BITS : $this->node->int('bits');
    }

    /** @return array<string, int> Bit of each flag. */
    public function flagBits(): array
    {
        $bits = [];
        foreach (get_object_vars($this->node->node('flags')->value ?? new \stdClass) as $name => $bit) {
            $bits[(string) $name] = is_int($bit) ? $bit : 0;
        }

        return $bits;
    }

    /** Bytes of a check: one or two. */
    public function checkBytes(): int
    {
        return str_ends_with($this->node->text('check'), '16') ? 2 : 1;
    }

    /** pack() letter of a 16-bit word. */
    public function word(): string
    {
        return $this->node->textOrNull('order') === 'little' ? 'v' : 'n';
    }
}
