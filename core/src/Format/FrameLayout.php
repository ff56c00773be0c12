<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** A card's frame laid out for reading: where each part stands, behind the channels counted from the end. */
final class FrameLayout
{
    /** Constant bytes a frame starts with; empty where silence marks the start. */
    public readonly string $head;

    /** The constant byte a frame ends with; empty where there is none. */
    public readonly string $tail;

    /** Bytes of the shortest and the longest frame, before any are escaped. */
    public readonly int $smallest;

    public readonly int $largest;

    public readonly bool $isChecked;

    public readonly ChannelBits $bits;

    /** @var list<array{int, string, string}> Offset (negative: from the end), bytes, and what it means if they differ. */
    private array $constants = [];

    private ?int $countAt = null;

    /** @var array{int, int}|null Offset of the length byte, and what to take off the frame's size to have it. */
    private ?array $length = null;

    /** @var array{int, int, Check}|null Offset (negative: from the end), first byte covered, and the check. */
    private ?array $check = null;

    private ?int $flagsAt = null;

    /** @var array<string, int> Offset of each named byte. */
    private array $valuesAt = [];

    private int $channelsAt = 0;

    /** Matches frames right behind one another by their constant bytes; null: their size varies. */
    private ?string $runs = null;

    private int $around = 0;

    private int $inFrame;

    public function __construct(private readonly FormatCard $card)
    {
        $part = $card->channelPart();
        $this->bits = new ChannelBits($part);
        $this->inFrame = $part->node->intOrNull('in_frame') ?? $card->mostChannels;
        $offsets = $this->offsets();
        foreach ($card->parts as $k => $one) {
            $this->place($one, $offsets[$k]);
        }
        $first = $card->parts[0]->constant();
        $this->head = $first ?? '';
        $this->tail = (string) $card->parts[count($card->parts) - 1]->constant();
        $this->isChecked = $this->check !== null;
        $this->smallest = $this->around + $this->bits->size($this->countAt === null ? $this->inFrame : $card->fewestChannels);
        $this->runs = $this->countAt === null && $card->stuffing === null ? $this->runPattern() : null;
        $this->largest = $this->around + $this->bits->size($this->countAt === null ? $this->inFrame : $card->mostChannels);
    }

    /** Bytes of the frame that starts here; null: not enough is there to tell; 0: none can start here. */
    public function sizeAt(string $buffer, int $at): ?int
    {
        if ($this->countAt === null) {
            return $this->smallest;
        }
        if (! isset($buffer[$at + $this->countAt])) {
            return null;
        }
        $count = ord($buffer[$at + $this->countAt]);

        return $count >= $this->card->fewestChannels && $count <= $this->card->mostChannels ? $this->around + $this->bits->size($count) : 0;
    }

    /** A sound frame of another type that starts here: its length and its check hold. */
    public function otherAt(string $buffer, int $at): ?OtherAt
    {
        $size = $this->otherSizeAt($buffer, $at);
        if ($size === 0 || $this->length === null || strlen($buffer) - $at < $size) {
            return null;
        }
        $frame = substr($buffer, $at, $size);

        return $this->checkHolds($frame) ? new OtherAt($size, bin2hex($frame[$this->length[0] + 1])) : null;
    }

    /** What the length byte says of a frame that starts here, in bytes of the whole frame; 0: it can be none. */
    public function otherSizeAt(string $buffer, int $at): int
    {
        if ($this->length === null || $this->check === null || ! isset($buffer[$at + $this->length[0] + 1])) {
            return 0;
        }
        $size = ord($buffer[$at + $this->length[0]]) + $this->length[1];

        return $size < $this->length[0] + 2 + max(0, -$this->check[0]) ? 0 : $size;
    }

    /** Why these bytes, as many as `sizeAt` says, are no frame: `header`, `length`, `checksum`, `type`, `ending`; null: they are one. */
    public function fault(string $frame): ?string
    {
        foreach ($this->constants as [$at, $bytes, $fault]) {
            if (substr_compare($frame, $bytes, $at, strlen($bytes)) !== 0) {
                return $fault;
            }
        }
        if (! $this->lengthHolds($frame)) {
            return 'length';
        }

        return $this->check === null || $this->checkHolds($frame) ? null : 'checksum';
    }

    /** How many sound frames stand right behind one another from here; 0 where their size varies. */
    public function run(string $buffer, int $at): int
    {
        if ($this->runs === null || $this->smallest < 1 || preg_match($this->runs, $buffer, $match, 0, $at) !== 1) {
            return 0;
        }
        if ($this->check === null) {
            return intdiv(strlen($match[0]), $this->smallest);
        }
        [$place, $first, $check] = $this->check;

        return $check->sound($match[0], $this->smallest, $first, $place < 0 ? $this->smallest + $place : $place);
    }

    /**
     * Counts of frames right behind one another.
     *
     * @param  positive-int  $size
     * @return array<int, array<int, int>> By channel, from 1, and frame, from 0.
     */
    public function countsOfRun(string $frames, int $size): array
    {
        if ($this->countAt === null && $this->bits->isPacked()) {
            return $this->bits->unpackRun($frames, $size, $this->channelsAt, $this->inFrame);
        }
        $columns = [];
        foreach (str_split($frames, $size) as $k => $frame) {
            foreach ($this->counts($frame) as $channel => $count) {
                $columns[$channel][$k] = $count;
            }
        }

        return $columns;
    }

    /** Flag bytes of frames right behind one another. */
    public function flagBytesOfRun(string $frames, int $size): string
    {
        if ($this->flagsAt === null) {
            return '';
        }
        $bytes = '';
        for ($at = $this->flagsAt < 0 ? $size + $this->flagsAt : $this->flagsAt, $n = strlen($frames); $at < $n; $at += $size) {
            $bytes .= $frames[$at];
        }

        return $bytes;
    }

    /** @return array<int, int> By channel, from 1. */
    public function counts(string $frame): array
    {
        $size = strlen($frame) - $this->around;

        return $this->bits->unpack(substr($frame, $this->channelsAt, $size), $this->countAt === null ? $this->inFrame : ord($frame[$this->countAt]));
    }

    /** The byte that carries the flags; 0 where there is none. */
    public function flagByte(string $frame): int
    {
        return $this->flagsAt === null ? 0 : ord($frame[$this->flagsAt < 0 ? strlen($frame) + $this->flagsAt : $this->flagsAt]);
    }

    /** Does a frame carry a byte of this name? */
    public function hasValue(string $name): bool
    {
        return isset($this->valuesAt[$name]);
    }

    /** @return array<string, int> */
    public function values(string $frame): array
    {
        return array_map(static fn (int $at): int => ord($frame[$at < 0 ? strlen($frame) + $at : $at]), $this->valuesAt);
    }

    public function lengthHolds(string $frame): bool
    {
        return $this->length === null || ord($frame[$this->length[0]]) === strlen($frame) - $this->length[1];
    }

    /** Where the channels begin. */
    public function channelsAt(): int
    {
        return $this->channelsAt;
    }

    /** Bytes of a part in a frame of so many bytes. */
    public function partSize(Part $part, int $frame): int
    {
        return match ($part->kind) {
            'const' => strlen((string) $part->constant()),
            'channels' => max(0, $frame - $this->around),
            'check' => $part->checkBytes(),
            default => 1,
        };
    }

    public function checkHolds(string $frame): bool
    {
        if ($this->check === null) {
            return true;
        }
        [$place, $first, $check] = $this->check;
        $at = $place < 0 ? strlen($frame) + $place : $place;
        $bytes = $check->bytes(substr($frame, $first, $at - $first));

        return substr_compare($frame, $bytes, $at, strlen($bytes)) === 0;
    }

    /** @return list<int> From the start up to the channels, from the end (negative) behind them. */
    private function offsets(): array
    {
        $sizes = array_map(static fn (Part $part): int => match ($part->kind) {
            'const' => strlen((string) $part->constant()),
            'channels' => 0,
            'check' => $part->checkBytes(),
            default => 1,
        }, $this->card->parts);
        $this->around = (int) array_sum($sizes);
        $channels = (int) array_search($this->card->channelPart(), $this->card->parts, true);
        $offsets = [];
        $at = 0;
        foreach ($sizes as $k => $size) {
            $offsets[] = $k <= $channels ? $at : $at - $this->around;
            $at += $size;
        }

        return $offsets;
    }

    private function runPattern(): string
    {
        $bytes = array_fill(0, $this->smallest, null);
        foreach ($this->constants as [$at, $constant]) {
            foreach (str_split($constant) as $k => $byte) {
                $bytes[($at < 0 ? $this->smallest + $at : $at) + $k] = $byte;
            }
        }
        if ($this->length !== null) {
            $bytes[$this->length[0]] = chr($this->smallest - $this->length[1] & 0xFF);
        }
        $pattern = implode('', array_map(static fn (?string $byte): string => $byte === null ? '.' : sprintf('\x%02x', ord($byte)), $bytes));

        return '/\G(?:'.preg_replace_callback('/\.{2,}/', static fn (array $dots): string => '.{'.strlen($dots[0]).'}', $pattern).')++/s';
    }

    private function place(Part $part, int $at): void
    {
        match ($part->kind) {
            'const' => $this->constants[] = [$at, (string) $part->constant(), $this->constantFault($at)],
            'channels' => $this->channelsAt = $at,
            'count' => $this->countAt = $at,
            'length' => $this->length = [$at, $at + 1 + ($part->node->text('length') === 'to_check' ? $this->fromCheck() : 0)],
            'flags' => $this->flagsAt = $at,
            'value' => $this->valuesAt[$part->node->text('value')] = $at,
            default => $this->check = [$at, $part->node->int('from'), Check::of($part)],
        };
    }

    private function constantFault(int $at): string
    {
        return match (true) {
            $at === 0 => 'header',
            $at < 0 => 'ending',
            default => 'type',
        };
    }

    /** Bytes from the check to the end of the frame. */
    private function fromCheck(): int
    {
        $bytes = 0;
        foreach (array_reverse($this->card->parts) as $part) {
            $bytes += $part->kind === 'check' ? $part->checkBytes() : strlen((string) $part->constant());
            if ($part->kind === 'check') {
                return $bytes;
            }
        }

        return 0;
    }
}
