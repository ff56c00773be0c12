<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Protocol;

/** What must match at a coupling, side by side: what one end gives and what the other takes. */
final class CouplingFacts
{
    private const UNKNOWN = 'not known';

    /** @return list<Fact> */
    public static function of(Joint $joint): array
    {
        if ($joint->sent !== null && $joint->heard !== null) {
            return self::air($joint->sent, $joint->heard);
        }

        return $joint->output === null || $joint->input === null ? [] : self::wire($joint->output, $joint->input);
    }

    /** @return list<Fact> */
    private static function air(Protocol $sent, Protocol $heard): array
    {
        return [
            self::fact('Family', $sent->family, $heard->family),
            self::fact('Variant', $sent->variant ?? self::UNKNOWN, $heard->variant ?? self::UNKNOWN),
            self::fact('Frame period', self::periods($sent->framesMs), self::periods($heard->framesMs)),
            self::fact('Channels', self::number($sent->channels, ''), self::number($heard->channels, '')),
            self::fact('Region', $sent->region ?? self::UNKNOWN, $heard->region ?? self::UNKNOWN),
            self::fact('Firmware', $sent->firmware ?? self::UNKNOWN, $heard->firmware ?? self::UNKNOWN),
        ];
    }

    /** @return list<Fact> */
    private static function wire(OutputPort $output, InputPort $input): array
    {
        return [
            self::fact('Format', $output->format->name, $input->format->name),
            self::fact('Polarity', $output->polarity ?? self::UNKNOWN, $input->polarity ?? self::UNKNOWN),
            self::fact('High level', self::number($output->levelV, 'V'), self::levelTaken($input)),
            self::fact('Channels', self::number($output->channels, ''), $output->isPwm() ? 'one pin each' : self::number($input->channels, '')),
            self::fact('Frame period', self::periods($output->periodsMs), $input->maxRateHz === null ? 'any' : "at most $input->maxRateHz Hz"),
        ];
    }

    /** What an input takes for a high level, in words. */
    public static function levelTaken(InputPort $input): string
    {
        return match (true) {
            $input->anyLevel => 'any',
            $input->levelMinV !== null && $input->levelMaxV !== null => "{$input->levelMinV}–{$input->levelMaxV} V",
            $input->levelMaxV !== null => "up to $input->levelMaxV V",
            $input->levelMinV !== null => "from $input->levelMinV V",
            default => self::UNKNOWN,
        };
    }

    /** @param  list<float>|null  $periods */
    private static function periods(?array $periods): string
    {
        return $periods === null ? self::UNKNOWN : implode(' or ', $periods).' ms';
    }

    private static function number(float|int|null $value, string $unit): string
    {
        return $value === null ? self::UNKNOWN : trim("$value $unit");
    }

    private static function fact(string $what, string $from, string $to): Fact
    {
        return new Fact($what, $from, $to);
    }
}
