<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** What keeps two boxes apart, in a sentence, and what would mend it. */
final class MissText
{
    /** @return array{code: string, message: string, change: string} */
    public static function of(string $code, string $from, string $to): array
    {
        [$message, $change] = match ($code) {
            'M1' => ["A radio inside $from cannot be switched off, so no module may run beside it.", 'Use the radio inside, or another handset.'],
            'M3' => ["$from and $to use the line the other way up.", 'Put an inverter between them, or use another pin.'],
            'M8' => ["$from and $to have different firmware generations.", 'Bring both to the same generation.'],
            'M9' => ["$from and $to are made for different regions.", 'Set or buy both for the same region.'],
            'M10' => ["$to takes none of the channel modes $from offers.", 'Use another receiver, or send another number of channels.'],
            'M11' => ["The voltage on the wire from $from is outside what $to takes.", 'Use another output or a level converter.'],
            'M12' => ["Too few channels get from $from to $to.", 'Ask for fewer channels, or use a format that carries more.'],
            'M14' => ["$from and $to have no wire format in common.", 'Find a converter, or another output or input.'],
            'M15' => ["$from and $to share no air protocol.", 'Use a module or a receiver of the same family and variant.'],
            'P1' => ["$to would get too high a voltage from $from.", 'Use a pack or a supply with a lower full voltage.'],
            default => ["$from and $to do not join ($code).", ''],
        };

        return ['code' => $code, 'message' => $message, 'change' => $change];
    }
}
