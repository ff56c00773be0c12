<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Thrown by a sink that has what it wants: the rest of the capture need not be read. */
final class Enough extends \RuntimeException
{
}
