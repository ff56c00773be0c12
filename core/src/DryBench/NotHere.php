<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** A fault or a test that this rig cannot have; the message says why. */
final class NotHere extends \RuntimeException
{
}
