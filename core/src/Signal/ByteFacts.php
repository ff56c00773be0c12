<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** What bytes show of a frame nobody knows: how often they repeat, and which stand where. */
final readonly class ByteFacts
{
    private const LOOKED_AT = 4096;

    private const SHOWN = 64;

    private const SHORTEST = 4;

    private const LONGEST = 80;

    /** Bytes that come again after one frame length, as a share of all. */
    private const REPEATS = 0.3;

    public function __construct(private string $bytes)
    {
    }

    /** @return array{frame_bytes: int|null, header: string|null, first_bytes: string} */
    public function toArray(): array
    {
        $bytes = substr($this->bytes, 0, self::LOOKED_AT);
        $length = self::frameLength($bytes);

        return [
            'frame_bytes' => $length,
            'header' => $length === null ? null : self::constantBytes($bytes, $length),
            'first_bytes' => bin2hex(substr($bytes, 0, self::SHOWN)),
        ];
    }

    /** @return positive-int|null */
    private static function frameLength(string $bytes): ?int
    {
        [$best, $length] = [self::REPEATS, null];
        for ($period = self::SHORTEST; $period <= min(self::LONGEST, intdiv(strlen($bytes), 3)); $period++) {
            $same = substr_count(substr($bytes, 0, -$period) ^ substr($bytes, $period), "\0") / (strlen($bytes) - $period);
            // A multiple of the frame length repeats as well.
            if ($same > $best * 1.1) {
                [$best, $length] = [$same, $period];
            }
        }

        return $length;
    }

    /**
     * The first byte that is the same in every frame, counted from where the capture begins.
     *
     * @param  positive-int  $length
     */
    private static function constantBytes(string $bytes, int $length): ?string
    {
        $frames = array_filter(str_split($bytes, $length), static fn (string $frame): bool => strlen($frame) === $length);
        $constant = array_map(static fn (int $at): bool => count(array_unique(array_map(static fn (string $frame): string => $frame[$at], $frames))) === 1, range(0, $length - 1));
        $at = array_search(true, $constant, true);

        return $at === false ? null : bin2hex($frames[0][$at]);
    }
}
