<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

/** An end of a channel's travel. */
enum End: string
{
    case Lo = 'lo';
    case Hi = 'hi';
}
