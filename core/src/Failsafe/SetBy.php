<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** By what a receiver's failsafe is set. */
enum SetBy: string
{
    case Handset = 'handset';
    case Button = 'button';
    case Bind = 'bind';
    case Module = 'module';
}
