<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Readiness\LeaveAsIs;
use Linguator\Core\Readiness\MakeCheck;
use Linguator\Core\Readiness\SignOff;
use Linguator\Core\Readiness\TakeUpAgain;
use Linguator\Core\Readiness\TellIndoors;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Steps\Bind\LogAttempt;
use Linguator\Core\Steps\Bind\ProveBind;
use Linguator\Core\Steps\Failsafe\SetFailsafe;
use Linguator\Core\Steps\Failsafe\TestFailsafe;
use Linguator\Core\Steps\Handset\TellMemory;
use Linguator\Core\Steps\Handset\TellReceiverNumber;
use Linguator\Core\Steps\Handset\TellStickMode;
use Linguator\Core\Steps\Handset\TickHandset;
use Linguator\Core\Steps\Order\FollowOrder;
use Linguator\Core\Steps\Order\KeepOrderCheck;
use Linguator\Core\Steps\Order\MendOrder;
use Linguator\Core\Steps\Order\PlugByLabels;
use Linguator\Core\Steps\Order\SetHandsetOrder;
use Linguator\Core\Steps\Path\AllowRelay;
use Linguator\Core\Steps\Path\AskChannels;
use Linguator\Core\Steps\Path\AskCraft;
use Linguator\Core\Steps\Path\AskHandset;
use Linguator\Core\Steps\Path\AskThrough;
use Linguator\Core\Steps\Path\ChooseWay;
use Linguator\Core\Steps\Path\PutFunction;
use Linguator\Core\Steps\Path\RemoveFunction;
use Linguator\Core\Steps\Path\RenameRig;
use Linguator\Core\Steps\Path\TakeCards;
use Linguator\Core\Steps\Path\TakePath;
use Linguator\Core\Steps\Path\TellCraft;
use Linguator\Core\Steps\Path\TellHandsetPack;
use Linguator\Core\Steps\Path\TickSetting;
use Linguator\Core\Steps\Switches\AddWindow;
use Linguator\Core\Steps\Switches\AssignSwitch;
use Linguator\Core\Steps\Switches\PutChannelsRight;
use Linguator\Core\Steps\Switches\RemoveSwitch;
use Linguator\Core\Steps\Switches\RemoveWindow;
use Linguator\Core\Steps\Switches\SetRates;
use Linguator\Core\Steps\Switches\SetSwitch;
use Linguator\Core\Steps\Switches\SetWindow;
use Linguator\Core\Steps\Switches\WantPosition;
use Linguator\Core\Steps\Switches\WidenWindow;
use Linguator\Core\Steps\Timing\HoldUnused;
use Linguator\Core\Steps\Told\TellFact;
use Linguator\Core\Steps\Travel\ChooseCentring;
use Linguator\Core\Steps\Travel\ChooseSchool;
use Linguator\Core\Steps\Travel\CopySettings;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Steps\Travel\ReverseChannel;
use Linguator\Core\Steps\Travel\SetTarget;
use Linguator\Core\Steps\Travel\SetThresholds;
use Linguator\Core\Steps\Travel\SetWeights;
use Linguator\Core\Steps\Travel\TakeSettings;
use Linguator\Core\Steps\Travel\TellSubtrimModel;
use Linguator\Core\Steps\Wiring\ColourWire;
use Linguator\Core\Steps\Wiring\TellAntenna;
use Linguator\Core\Steps\Wiring\TellCraftPack;
use Linguator\Core\Steps\Wiring\TellPower;
use Linguator\Core\Steps\Wiring\TellSupply;
use Linguator\Core\Steps\Wiring\TellWired;

/** Everything a person can mean to do with a rig, by the name screens and scripts give it. */
final readonly class Intents
{
    public const SCHEMA = 'intents.schema.json';

    /** @var array<string, class-string<Intent>> */
    public const ALL = [
        'ask-handset' => AskHandset::class,
        'ask-craft' => AskCraft::class,
        'ask-channels' => AskChannels::class,
        'allow-relay' => AllowRelay::class,
        'ask-through' => AskThrough::class,
        'take-path' => TakePath::class,
        'take-cards' => TakeCards::class,
        'put-function' => PutFunction::class,
        'remove-function' => RemoveFunction::class,
        'tick-setting' => TickSetting::class,
        'tell-handset-pack' => TellHandsetPack::class,
        'colour-wire' => ColourWire::class,
        'tell-wired' => TellWired::class,
        'tell-craft-pack' => TellCraftPack::class,
        'tell-antenna' => TellAntenna::class,
        'tell-supply' => TellSupply::class,
        'tell-power' => TellPower::class,
        'log-attempt' => LogAttempt::class,
        'prove-bind' => ProveBind::class,
        'mend-order' => MendOrder::class,
        'plug-by-labels' => PlugByLabels::class,
        'set-handset-order' => SetHandsetOrder::class,
        'keep-order-check' => KeepOrderCheck::class,
        'keep-reading' => KeepReading::class,
        'take-settings' => TakeSettings::class,
        'reverse-channel' => ReverseChannel::class,
        'copy-settings' => CopySettings::class,
        'tell-subtrim-model' => TellSubtrimModel::class,
        'choose-school' => ChooseSchool::class,
        'choose-centring' => ChooseCentring::class,
        'choose-way' => ChooseWay::class,
        'hold-unused' => HoldUnused::class,
        'follow-order' => FollowOrder::class,
        'set-target' => SetTarget::class,
        'set-thresholds' => SetThresholds::class,
        'assign-switch' => AssignSwitch::class,
        'set-switch' => SetSwitch::class,
        'remove-switch' => RemoveSwitch::class,
        'add-window' => AddWindow::class,
        'set-window' => SetWindow::class,
        'want-position' => WantPosition::class,
        'widen-window' => WidenWindow::class,
        'remove-window' => RemoveWindow::class,
        'put-channels-right' => PutChannelsRight::class,
        'set-rates' => SetRates::class,
        'tick-handset' => TickHandset::class,
        'tell-memory' => TellMemory::class,
        'tell-receiver-number' => TellReceiverNumber::class,
        'tell-stick-mode' => TellStickMode::class,
        'set-failsafe' => SetFailsafe::class,
        'test-failsafe' => TestFailsafe::class,
        'make-check' => MakeCheck::class,
        'sign-off' => SignOff::class,
        'leave-as-is' => LeaveAsIs::class,
        'take-up-again' => TakeUpAgain::class,
        'tell-indoors' => TellIndoors::class,
        'tell-fact' => TellFact::class,
        'rename-rig' => RenameRig::class,
        'tell-craft' => TellCraft::class,
        'set-weights' => SetWeights::class,
        'found-fault' => FoundFault::class,
        'tell-flight' => TellFlight::class,
        'write-note' => WriteNote::class,
    ];

    public function __construct(private Schemas $schemas)
    {
    }

    /**
     * An intent of what was told.
     *
     * @throws DocumentError if there is none of this name, or what was told is not what it needs, at its place.
     */
    public function read(string $name, \stdClass $told): Intent
    {
        $class = self::ALL[$name] ?? throw DocumentError::at('intent', 'Found '.Excerpt::of($name).'; expected one of '.implode(', ', array_keys(self::ALL)).'.', 'no_such_intent');

        return $class::read($this->told($name, $told));
    }

    /**
     * What was told with an intent, found to be what it needs.
     *
     * @throws DocumentError at its place, if it is not.
     */
    public function told(string $name, \stdClass $told): Node
    {
        try {
            $this->schemas->check((object) [$name => $told], self::SCHEMA);
        } catch (DocumentError $error) {
            throw $error->outside($name);
        }

        return new Node($told);
    }
}
