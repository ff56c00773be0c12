<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;

/** What keeps two boxes apart, in a sentence, and what would mend it. */
final readonly class Miss
{
    private function __construct(public Code $code, public string $message, public string $change)
    {
    }

    /** @param  string  $numbers  What was found and expected, where that is known. */
    public static function of(Code $code, string $from, string $to, string $numbers = ''): self
    {
        [$message, $change] = match ($code) {
            Code::M1 => ["A radio inside $from cannot be switched off, so no module may run beside it.", 'Use the radio inside, or another handset.'],
            Code::M3 => ["$from and $to use the line the other way up.", 'Put an inverter between them, or use another pin.'],
            Code::M8 => ["$from and $to have different firmware generations.", 'Bring both to the same generation.'],
            Code::M9 => ["$from and $to are made for different regions.", 'Set or buy both for the same region.'],
            Code::M10 => ["$to takes none of the channel modes $from offers.", 'Use another receiver, or send another number of channels.'],
            Code::M11 => ["The voltage on the wire from $from is outside what $to takes.", 'Use another output or a level converter.'],
            Code::M12 => ["Too few channels get from $from to $to.", 'Ask for fewer channels, or use a format that carries more.'],
            Code::M14 => ["$from and $to have no wire format in common.", 'Find a converter, or another output or input.'],
            Code::M15 => ["$from and $to share no air protocol.", 'Use a module or a receiver of the same family and variant.'],
            Code::P1 => ["$to would get too high a voltage from $from.", 'Use a pack or a supply with a lower full voltage.'],
            default => ["$from and $to do not join ({$code->value}).", ''],
        };

        return new self($code, $numbers === '' ? $message : rtrim($message, '.').": $numbers.", $change);
    }
}
