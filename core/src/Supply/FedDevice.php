<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/** Whether a device gets a voltage it takes. */
final readonly class FedDevice implements \JsonSerializable
{
    /** @param  Finding|null  $finding  Null: it does, or what it takes is not known. */
    public function __construct(private string $name, private ?Finding $finding)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ([
            'name' => $this->name,
            'severity' => $this->finding->severity ?? Severity::Ok,
        ] + ($this->finding === null ? [] : ['code' => $this->finding->code, 'message' => $this->finding->message]));
    }
}
