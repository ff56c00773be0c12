<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** The four main controls, by the letter the field gives them. */
enum Letter: string
{
    case Aileron = 'A';
    case Elevator = 'E';
    case Throttle = 'T';
    case Rudder = 'R';

    /** The name of the function that rides on it, as documents spell it. */
    public function functionName(): string
    {
        return strtolower($this->name);
    }

    /** The stick a function belongs to; null for one beyond the four. */
    public static function ofFunction(string $function): ?self
    {
        foreach (self::cases() as $letter) {
            if ($letter->functionName() === $function) {
                return $letter;
            }
        }

        return null;
    }
}
