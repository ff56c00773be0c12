<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Channel\Assignment;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Clash;
use Linguator\Core\Channel\ClashKind;
use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Functions;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\RigDocument;

/** Which function may ride on which channel of a rig (S5, S6, M12), and the fewest moves that put it right. */
final readonly class ChannelRules
{
    /** Where nothing of the chain tells how many get through. */
    private const USUAL_CHANNELS = 16;

    private Assignment $assignment;

    public function __construct(private RigDocument $rig)
    {
        $this->assignment = new Assignment($this->used(), $this->reserved(), $this->channels());
    }

    public function findings(): Findings
    {
        return Findings::of(...array_map(self::finding(...), $this->assignment->clashes()));
    }

    /** Null when nothing is wrong, or nothing fits. */
    public function proposal(): ?Proposal
    {
        $moves = $this->assignment->clashes() === [] ? [] : $this->assignment->moves();

        return $moves === null || $moves === [] ? null : new Proposal($moves);
    }

    /** The lowest channel beyond the sticks that nothing rides on and the link does not keep, within those that get through; null: there is none. */
    public function nextFree(): ?int
    {
        $taken = array_map(static fn (FunctionChannel $entry): int => $entry->channel, $this->used()->all);
        $most = min(self::USUAL_CHANNELS, $this->channels());
        $free = $most <= ChannelOrder::STICKS ? [] : array_diff(range(ChannelOrder::STICKS + 1, $most), $taken, array_keys($this->reserved()));

        return $free === [] ? null : min($free);
    }

    private static function finding(Clash $clash): Finding
    {
        [$function, $channel] = [$clash->entry->function, $clash->entry->channel];
        $name = ucfirst($function);
        $elsewhere = "Put $function on another channel.";

        return match ($clash->kind) {
            ClashKind::Shared => new Finding(Code::S5, Severity::Fix, "$name and $clash->with ride on the same channel $channel.", found: "channel $channel twice", expected: 'a channel each', why: 'One switch would move both.', change: $elsewhere),
            ClashKind::Reserved => new Finding(Code::S6, Severity::Fix, "$name rides on channel $channel, which the link keeps for ".($clash->with ?? 'itself').'.', found: $function, expected: $clash->with ?? 'nothing', why: 'It would not get through, or would set off the wrong thing.', change: $elsewhere),
            ClashKind::Beyond => new Finding(Code::M12, Severity::Fix, "$name rides on channel $channel, beyond the channels that get through.", why: 'It never arrives.', change: "Put $function on a lower channel, or send more channels."),
        };
    }

    /** Functions told, and those only a switch names. */
    private function used(): Functions
    {
        $used = $this->rig->functions() ?? Functions::of();
        foreach ($this->rig->switches() as $switch) {
            if (! $used->has($switch->function)) {
                $used = $used->and(new FunctionChannel($switch->function, $switch->channel));
            }
        }

        return $used;
    }

    /** @return array<int, string|null> By channel: what the link keeps it for; null: for itself. */
    private function reserved(): array
    {
        $reserved = [];
        foreach ($this->rig->boxes as $box) {
            foreach ($box instanceof Receiver ? $box->reserved : [] as $entry) {
                $reserved[$entry->channel] = $entry->for;
            }
        }

        return $reserved;
    }

    /** How many channels the narrowest part of the chain carries. */
    private function channels(): int
    {
        $counts = [$this->rig->boxes->handset()?->channels];
        foreach ($this->rig->chain()->joints() as $joint) {
            array_push($counts, $joint->sent?->channels, $joint->heard?->channels, $joint->isPwm() ? null : $joint->output?->channels);
        }
        $known = array_filter($counts, is_int(...));

        return $known === [] ? self::USUAL_CHANNELS : min($known);
    }
}
