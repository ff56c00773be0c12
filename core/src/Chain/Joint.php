<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Timing\LatencyStage;

/** One way in which two neighbours join: over a wire (ports) or through the air (protocols). */
final readonly class Joint
{
    /** How many findings must be mended. */
    public int $fixes;

    /**
     * @param  string  $via  Format id, or family/variant.
     * @param  list<SettingChange>  $changes
     * @param  array<string, string|float>  $link  What is in force on this link, for the answer.
     */
    public function __construct(
        public Box $from,
        public Box $to,
        public string $via,
        public array $changes,
        public Findings $findings,
        public LatencyStage $stage,
        public array $link = [],
        public ?OutputPort $output = null,
        public ?InputPort $input = null,
        public ?Protocol $sent = null,
        public ?Protocol $heard = null,
    ) {
        $this->fixes = $findings->countOf(Severity::Fix);
    }

    public function isAir(): bool
    {
        return $this->sent !== null;
    }

    public function isPwm(): bool
    {
        return $this->output !== null && $this->output->isPwm();
    }

    /** Whether data comes back on this wire: both ports must carry it. */
    public function bringsDataBack(): bool
    {
        return $this->output !== null && $this->input !== null && $this->output->telemetry && $this->input->telemetry;
    }
}
