<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Place;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\Supply;
use Linguator\Core\Timing\LatencyStage;

/**
 * Judges two boxes joined by a wire: format (M14), polarity (M3), level (M11), channels (M12),
 * radio kept off (M1) and bay power (P1, P2); what is needed and not known gives M13.
 */
final class WireJoiner
{
    /** Levels are compared with this tolerance (V). */
    private const LEVEL_TOLERANCE = 0.001;

    /** @var array<string, Ways> */
    private array $memo = [];

    public function __construct(private readonly JoinContext $context)
    {
    }

    /** Every way in which the two join. */
    public function ways(Box $from, Box $to): Ways
    {
        return $this->memo[$from->id()."\0".$to->id()] ??= $this->find($from, $to);
    }

    private function find(Box $from, Box $to): Ways
    {
        $joints = [];
        $inputs = $to->ports()->inputs;
        foreach ($from->ports()->outputs as $output) {
            foreach ($inputs as $input) {
                if ($output->format->id === $input->format->id && ! ($output->place === Place::Bay && ! $to instanceof Module)) {
                    $verdict = $this->judge($from, $output, $to, $input);
                    if ($verdict instanceof Joint) {
                        $joints[] = $verdict;
                    }
                }
            }
        }

        return Ways::of($joints);
    }

    /** The least bad reason why the two do not join, or null if some ports do. */
    public function nearestMisfit(Box $from, Box $to): ?Misfit
    {
        $nearest = null;
        $inputs = $to->ports()->inputs;
        foreach ($from->ports()->outputs as $output) {
            foreach ($inputs as $input) {
                $verdict = $this->judge($from, $output, $to, $input);
                if ($verdict instanceof Joint) {
                    return null;
                }
                if ($nearest === null || $verdict->weight() < $nearest->weight()) {
                    $nearest = $verdict;
                }
            }
        }

        return $nearest ?? Misfit::format();
    }

    private function judge(Box $from, OutputPort $output, Box $to, InputPort $input): Joint|Misfit
    {
        if ($output->format->id !== $input->format->id) {
            return Misfit::format();
        }
        $judgement = new Judgement($from, $to);
        $this->judgePolarity($output, $input, $judgement);
        $this->judgeLevel($output, $input, $judgement);
        $this->judgeChannels($from, $output, $to, $input, $judgement);
        $this->judgeHandset($from, $output, $to, $judgement);
        if ($judgement->misses !== []) {
            return new Misfit($judgement->misses);
        }
        $pace = WirePace::choose($output, $input, $from, $this->context);
        $judgement->add($pace->findings);

        return new Joint(
            $from,
            $to,
            $output->format->id,
            $this->changes($from, $output, $to, $input, $pace),
            $judgement->findings(),
            new LatencyStage("{$from->name()} → {$to->name()}, {$output->format->name}", $pace->periodMs, $output->format->transitMs),
            self::link($output, $input, $pace),
            $output,
            $input,
        );
    }

    private function judgePolarity(OutputPort $output, InputPort $input, Judgement $judgement): void
    {
        if ($input->polarity === 'either') {
            return;
        }
        if ($output->polarity === null || $input->polarity === null) {
            $judgement->notKnown('polarity');
        } elseif ($output->polarity !== $input->polarity) {
            $judgement->miss(Code::M3);
        }
    }

    private function judgeLevel(OutputPort $output, InputPort $input, Judgement $judgement): void
    {
        if ($input->anyLevel) {
            return;
        }
        if ($output->levelV === null || ($input->levelMinV === null && $input->levelMaxV === null)) {
            if ($output->place !== Place::Bay) {
                $judgement->notKnown('level');
            }
        } elseif (($input->levelMaxV !== null && $output->levelV > $input->levelMaxV + self::LEVEL_TOLERANCE)
            || ($input->levelMinV !== null && $output->levelV < $input->levelMinV - self::LEVEL_TOLERANCE)) {
            $judgement->miss(Code::M11);
        }
    }

    private function judgeChannels(Box $from, OutputPort $output, Box $to, InputPort $input, Judgement $judgement): void
    {
        if ($from instanceof Controller) {
            if ($to instanceof ServoSet && ! $from->readsOnlyPwm()) {
                $judgement->needs($to->pinsNeededFrom($from), $from->pins, 'number of output pins');
            }

            return;
        }
        $judgement->needs($this->context->channels, $output->channels, 'channels sent');
        if ($from instanceof Handset) {
            $judgement->needs($this->context->channels, $from->channels, "the handset's channels");
        }
        if (! $output->isPwm()) {
            $judgement->needs($this->context->channels, $input->channels, 'channels read');
        }
    }

    private function judgeHandset(Box $from, OutputPort $output, Box $to, Judgement $judgement): void
    {
        if (! $from instanceof Handset) {
            return;
        }
        if ($from->hasRadioThatStaysOn()) {
            $judgement->miss(Code::M1);
        }
        if ($output->place !== Place::Bay || ! $to instanceof Module) {
            return;
        }
        $supply = $this->baySupply($from);
        if ($supply === null || ! $to->supply->isKnown()) {
            $judgement->notKnown($supply === null ? 'what the bay gives' : "the module's supply range");

            return;
        }
        $finding = PowerCheck::voltage($to->name, $to->supply, $supply);
        if ($finding?->code === Code::P1) {
            $judgement->miss(Code::P1);
        } else {
            $judgement->add($finding);
        }
    }

    /** What the bay gives a module (V); null: not known. */
    private function baySupply(Handset $handset): ?Supply
    {
        return is_float($handset->baySupply)
            ? Supply::fixed($handset->baySupply)
            : ($handset->baySupply === 'pack' ? $this->context->pack?->supply() : null);
    }

    /** @return list<SettingChange> */
    private function changes(Box $from, OutputPort $output, Box $to, InputPort $input, WirePace $pace): array
    {
        $changes = [];
        if ($from instanceof Handset) {
            if ($from->radios !== []) {
                $changes[] = new SettingChange($from->id, 'internal_radio', 'off');
            }
            if ($from->radios !== [] || $output->index > 0) {
                $changes[] = new SettingChange($from->id, $output->place->value, $output->format->id);
            }
        }
        if ($from instanceof Receiver && $output->mode !== null && $output->mode !== $from->deliveredMode()) {
            $changes[] = new SettingChange($from->id, 'output_mode', $output->mode);
        }
        if ($pace->isChange) {
            $changes[] = new SettingChange($from->id(), 'rate', $pace->periodMs);
        }
        if (($to instanceof Module || $to instanceof Controller) && $input->index > 0) {
            $changes[] = new SettingChange($to->id(), 'input', $input->format->id);
        }

        return $changes;
    }

    /** @return array<string, string|float> */
    private static function link(OutputPort $output, InputPort $input, WirePace $pace): array
    {
        return array_filter([
            'port' => $output->place === Place::Wire ? null : $output->place->value,
            'period_ms' => $pace->periodMs,
            'output_mode' => $output->mode,
            'polarity' => $output->polarity,
            'level_v' => $output->levelV,
        ], static fn (mixed $value): bool => $value !== null);
    }
}
