<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Every intent at least once, as a screen sends it: the demo rig, the intent, what is told, the sentence of the history, and a place with what stands there afterwards. */
final class IntentExamples
{
    private const NONE = 'nothing stands there';

    /** @var list<array{string, string, array<string, mixed>, string, string, mixed}> */
    public const ALL = [
        ['avocet', 'ask-handset', ['handset' => 'ostrel-9'], 'Handset: Ostrel 9', 'path.handset', 'ostrel-9'],
        ['avocet', 'ask-craft', ['craft' => 'ruddle-f6'], 'Craft: Ruddle F6', 'path.craft', 'ruddle-f6'],
        ['avocet', 'ask-channels', ['channels' => 12], '12 channels must get through', 'path.channels', 12],
        ['avocet', 'allow-relay', ['allowed' => true], 'A relay is allowed', 'path.allow_relay', true],
        ['avocet', 'allow-relay', ['allowed' => false], 'No relay', 'path.allow_relay', false],
        ['avocet', 'ask-through', ['boxes' => ['brack-m4']], 'Must be in the chain: Brack M4', 'path.through', ['brack-m4']],
        ['avocet', 'ask-through', ['boxes' => []], 'Must be in the chain: whatever suits', 'path.through', []],
        ['dunlin', 'take-path', ['boxes' => ['ostrel-9', 'weft-r16i', 'ruddle-f6'], 'links' => []], 'Path taken: Ostrel 9 → Weft R16i → Ruddle F6', 'settings.links', []],
        ['dunlin', 'take-cards', ['cards' => ['ostrel-9']], 'Took the edited cards over from the shelf', 'name', 'Dunlin'],
        ['avocet', 'put-function', ['function' => 'flap', 'channel' => 8], 'Channel 8 carries flap', 'craft.functions.4', ['channel' => 8, 'function' => 'flap']],
        ['avocet', 'put-function', ['function' => 'camera', 'channel' => 9], 'Channel 9 carries camera', 'craft.functions.5', ['channel' => 9, 'function' => 'camera']],
        ['avocet', 'remove-function', ['function' => 'flap'], 'flap no longer has a channel', 'craft.functions.4', self::NONE],
        ['avocet', 'tell-handset-pack', ['pack' => ['chemistry' => 'lipo', 'cells' => 2]], 'Handset pack: 2 LiPo cells', 'settings.pack', ['cells' => 2, 'chemistry' => 'lipo']],
        ['avocet', 'tell-handset-pack', ['pack' => null], "Handset pack as on the handset's card", 'settings.pack', self::NONE],
        ['avocet', 'tell-craft-pack', ['pack' => ['chemistry' => 'nimh', 'cells' => 4]], 'Pack in the craft: 4 NiMH cells', 'settings.craft_pack', ['cells' => 4, 'chemistry' => 'nimh']],
        ['avocet', 'tell-craft-pack', ['pack' => null], 'The craft feeds the receiver itself', 'settings.craft_pack', self::NONE],
        ['avocet', 'tick-setting', ['box' => 'brack-m4', 'setting' => 'protocol', 'done' => false], 'Not set after all: Brack M4: Dial tarn-b', 'settings.done.brack-m4/protocol', self::NONE],
        ['mudlark', 'tick-setting', ['box' => 'keelson-plus', 'setting' => 'input', 'done' => true], 'Set in the box: Keelson Plus: Lead-in Pulse train', 'settings.done.keelson-plus/input', 'ppm'],
        ['avocet', 'colour-wire', ['row' => 'tarn-t7-throttle', 'wire' => 'plus', 'colour' => ' red '], 'Wire Tarn T7, pin 1, marked T: plus is red', 'settings.colours.tarn-t7-throttle', ['ground' => 'black', 'plus' => 'red', 'signal' => 'white']],
        ['avocet', 'colour-wire', ['row' => 'tarn-t7-rudder', 'wire' => 'signal', 'colour' => ''], 'Wire Tarn T7, pin 4, marked R: signal is not said', 'settings.colours.tarn-t7-rudder', self::NONE],
        ['avocet', 'tell-wired', ['wired' => false], 'Not wired after all', 'settings.done.rig/wiring', self::NONE],
        ['avocet', 'tell-antenna', ['antenna' => ' up the fin '], 'The antenna sits: up the fin', 'settings.antenna', 'up the fin'],
        ['avocet', 'tell-power', ['mw' => 40], 'The power is set to 40 mW', 'settings.power_mw', 40],
        ['oystercatcher', 'tell-power', ['mw' => null], 'The power set: not said', 'settings.power_mw', self::NONE],
        ['avocet', 'tell-antenna', ['antenna' => ''], 'Where the antenna sits: not said', 'settings.antenna', self::NONE],
        ['avocet', 'log-attempt', ['hop' => 1, 'variant' => 'auto', 'channel_mode' => 'as it is', 'distance_m' => 2, 'bound' => false, 'region' => 'world', 'note' => ''], 'Did not bind: auto, at 2 m', 'attempts.last', ['at' => '2026-11-24T10:00:00Z', 'bound' => false, 'channel_mode' => 'as it is', 'distance_m' => 2, 'hop' => 1, 'region' => 'world', 'variant' => 'auto']],
        ['avocet', 'prove-bind', ['hop' => 1, 'passed' => false, 'by' => 'Wren'], 'Bind not proven: the light does not follow the handset', 'checks.last.result', 'fail'],
        ['mudlark', 'plug-by-labels', [], 'Plugs go by the labels again', 'settings.plugs', self::NONE],
        ['avocet', 'set-handset-order', ['order' => 'TREA'], 'Handset order TREA', 'settings.order', 'TREA'],
        ['avocet', 'keep-order-check', ['moved' => ['A' => 'A', 'E' => 'E', 'T' => null, 'R' => 'R'], 'by' => 'Wren'], 'Order checked, failed: Stick T moved nothing instead of channel 1.', 'checks.last.observed', 'A on 2, E on 3, T on none, R on 4'],
        ['avocet', 'keep-reading', ['channel' => 1, 'lo' => 1050, 'mid' => 1500, 'hi' => 1950], 'Channel 1 read: 1050 / 1500 / 1950 µs', 'settings.channels.0.ends_us', [1050, 1500, 1950]],
        ['dunlin', 'take-settings', ['channels' => [4]], 'Ends and sub-trim entered for channel 4', 'settings.channels.3.subtrim', -18],
        ['dunlin', 'reverse-channel', ['channel' => 4], 'Channel 4 reversed in the handset', 'settings.channels.3.reversed', true],
        ['dunlin', 'copy-settings', ['from' => 1, 'to' => [2]], 'Settings of channel 1 copied to channel 2', 'settings.channels.1.lo_pct', 100],
        ['dunlin', 'tell-subtrim-model', ['model' => 'pivot'], 'The sub-trim of this handset moves only the centre', 'chain.0.scale.subtrim_model', 'pivot'],
        ['dunlin', 'choose-school', ['school' => 'leave'], "The handset stays; the reader's range is set", 'settings.school', 'leave'],
        ['dunlin', 'choose-centring', ['centring' => 'controller'], 'Centres are mended in the controller', 'settings.centring', 'controller'],
        ['dunlin', 'set-thresholds', ['low' => 1095, 'deadband' => 4.5], 'Ruddle F6: low threshold 1095 µs, dead band 4.5 µs', 'settings.thresholds.low', 1095],
        ['dunlin', 'assign-switch', ['function' => 'light'], 'light is to ride on channel 8', 'settings.switches.3', ['channel' => 8, 'function' => 'light']],
        ['dunlin', 'set-switch', ['function' => 'arm', 'power_up' => 2], 'arm: position 2 at power-up', 'settings.switches.0.power_up', 2],
        ['dunlin', 'set-switch', ['function' => 'arm', 'curve' => [-50, 50]], 'arm: levels -50, 50 %', 'settings.switches.0.curve', [-50, 50]],
        ['dunlin', 'set-switch', ['function' => 'mode', 'levels_us' => [990, 1501, 2011]], 'mode: levels read 990 / 1501 / 2011 µs', 'settings.switches.1.levels_us', [990, 1501, 2011]],
        ['dunlin', 'set-switch', ['function' => 'mode', 'levels_us' => null], 'mode: levels as computed', 'settings.switches.1.levels_us', self::NONE],
        ['dunlin', 'set-switch', ['function' => 'mode', 'offset' => -20], 'mode: offset -20 %', 'settings.switches.1.offset', -20],
        ['avocet', 'tell-craft', ['motor_off' => 'centre'], 'The motor is off with the throttle in its middle', 'craft.motor_off', 'centre'],
        ['avocet', 'tell-craft', ['motor_off' => null], 'The motor is off where it usually is', 'craft.motor_off', self::NONE],
        ['avocet', 'set-weights', ['channel' => 2, 'mix_weight' => -50], 'elevator: mix weight -50 %', 'settings.channels.1.mix_weight', -50],
        ['avocet', 'set-rates', ['channel' => 4, 'rate_pct' => 65], 'rudder: rate 65 %', 'settings.channels.3.rate_pct', 65],
        ['avocet', 'keep-reading', ['channel' => 1, 'lo' => 1051, 'mid' => 1500, 'hi' => 1950, 'noise_us' => 0.7, 'source' => 'meter'], 'Channel 1 read: 1051 / 1500 / 1950 µs', 'settings.channels.0.ends_us', [1051, 1500, 1950]],
        ['dunlin', 'set-switch', ['function' => 'arm', 'switch' => null], 'arm on switch not said', 'settings.switches.0.switch', self::NONE],
        ['dunlin', 'remove-switch', ['function' => 'mode'], 'mode is off its switch', 'settings.switches.2', self::NONE],
        ['dunlin', 'add-window', ['function' => 'arm', 'name' => 'lamp'], 'Window lamp on channel 5', 'settings.windows.last', ['channel' => 5, 'hi' => 1088, 'lo' => 788, 'name' => 'lamp', 'wanted' => [1]]],
        ['dunlin', 'set-window', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'lo' => 1650.5], 'Window arm: from 1650.5 µs', 'settings.windows.0.lo', 1650.5],
        ['dunlin', 'want-position', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'holds' => 1, 'wanted' => true], 'Window arm: position 1, 2', 'settings.windows.0.wanted', [1, 2]],
        ['dunlin', 'widen-window', ['window' => 'arm', 'channel' => 5, 'position' => 7], 'Window arm reaches from 1700 to 2100 µs', 'settings.windows.0.hi', 2100],
        ['dunlin', 'remove-window', ['window' => 'arm', 'channel' => 5, 'position' => 0], 'Window arm removed', 'settings.windows.3', self::NONE],
        ['dunlin', 'set-rates', ['channel' => 1, 'low_rate_pct' => 70, 'expo_pct' => -12.5], 'aileron: low rate 70 %, expo -12.5 %', 'settings.channels.0.expo_pct', -12.5],
        ['avocet', 'tick-handset', ['item' => 'trims', 'done' => true], 'Handset ready: trims', 'settings.done.handset/trims', true],
        ['avocet', 'tell-memory', ['memory' => '12'], 'Model memory: 12', 'settings.memory', 12],
        ['avocet', 'tell-memory', ['memory' => '00'], 'Model memory: 00', 'settings.memory', '00'],
        ['avocet', 'tell-memory', ['memory' => ''], 'Model memory not said', 'settings.memory', self::NONE],
        ['avocet', 'tell-receiver-number', ['number' => 0], 'Receiver number: 0', 'settings.receiver_number', 0],
        ['avocet', 'tell-receiver-number', ['number' => null], 'Receiver number not said', 'settings.receiver_number', self::NONE],
        ['avocet', 'tell-stick-mode', ['mode' => 3], 'Stick mode 3', 'settings.stick_mode', 3],
        ['avocet', 'tell-stick-mode', ['mode' => null], 'Stick mode as on the card', 'settings.stick_mode', self::NONE],
        ['oystercatcher', 'set-failsafe', ['hop' => 1, 'mode' => 'stored', 'set_by' => 'handset', 'stored_us' => [1500, null]], 'Failsafe of hop 1 set: stored', 'settings.failsafe.0.stored_us', [1500, null]],
        ['oystercatcher', 'test-failsafe', ['hop' => 2, 'passed' => true, 'observed' => 'all stopped', 'by' => 'Wren'], 'Failsafe of hop 2 tested, passed: all stopped', 'name', 'Oystercatcher'],
        ['avocet', 'make-check', ['check' => 'range', 'passed' => false, 'observed' => 'rudder twitched', 'by' => 'Wren'], 'Range check checked, failed: rudder twitched', 'checks.last.result', 'fail'],
        ['avocet', 'sign-off', ['by' => ' Wren ', 'note' => 'calm'], 'Signed off by Wren', 'sign_offs.1.note', 'calm'],
        ['avocet', 'choose-way', ['from' => 'brack-m4', 'to' => 'tarn-t7', 'via' => 'tarn/tarn-b'], 'Brack M4 to Tarn T7 by tarn-b', 'settings.links.1.via', 'tarn/tarn-b'],
        ['oystercatcher', 'tell-supply', ['box' => 'longshore', 'volts' => 5], 'Longshore 868: a regulator, 5 V', 'settings.supplies.longshore.volts', 5],
        ['mudlark', 'hold-unused', ['box' => 'weft-r8t', 'held' => true], 'Weft R8t: the 6 channels that carry nothing are held at 988 µs', 'settings.held.weft-r8t', true],
        ['dunlin', 'set-target', ['channel' => 3, 'lo' => 1100, 'mid' => 1500, 'hi' => 1900], 'Throttle aimed at 1100 / 1500 / 1900 µs', 'settings.targets.3', [1100, 1500, 1900]],
        ['dunlin', 'leave-as-is', ['what' => 'travel/3', 'reason' => 'no reading here', 'by' => 'Wren'], 'Left as it is by Wren: Throttle is 85 µs off; the settings that mend it are computed (no reading here)', 'settings.left.travel/3.reason', 'no reading here'],
        ['avocet', 'tell-indoors', ['indoors' => true], 'It stays within one room: no range check', 'craft.indoors', true],
        ['avocet', 'tell-fact', ['fact' => 'timer_min', 'value' => 3], 'Timer: 3 min', 'settings.told.timer_min', 3],
        ['avocet', 'tell-fact', ['fact' => 'throttle_cut', 'value' => ' R1 back '], 'Throttle cut: R1 back', 'settings.told.throttle_cut', 'R1 back'],
        ['avocet', 'tell-fact', ['fact' => 'extended_limits', 'value' => true], 'Extended limits: yes', 'settings.told.extended_limits', true],
        ['avocet', 'tell-fact', ['fact' => 'band', 'value' => ''], 'Band: not said', 'settings.told.band', self::NONE],
        ['avocet', 'rename-rig', ['name' => ' Avocet two '], 'Avocet is called Avocet two', 'name', 'Avocet two'],
        ['avocet', 'tell-craft', ['kind' => 'plane', 'note' => 'with a motor'], 'It is a plane; It is: with a motor', 'craft.kind', 'plane'],
        ['avocet', 'tell-craft', ['note' => ''], 'What it is: not said', 'craft.note', self::NONE],
        ['avocet', 'set-weights', ['channel' => 1, 'weight' => -100, 'mix_weight' => null], 'aileron: input weight -100 %, mix weight as usual', 'settings.channels.0.weight', -100],
        ['avocet', 'found-fault', ['cause' => 'trim_bumped'], 'Fault found: A trim was bumped. Mend: Centre the trims; switch them off where a controller stabilises.', 'name', 'Avocet'],
        ['avocet', 'tell-flight', ['text' => ' short of one cell '], 'Flown: short of one cell', 'name', 'Avocet'],
        ['oystercatcher', 'tell-flight', [], 'Run; nothing to note.', 'name', 'Oystercatcher'],
        ['avocet', 'write-note', ['text' => ' the pack was cold '], 'the pack was cold', 'name', 'Avocet'],
    ];

    /** What stands at a place of a document, positions included. */
    public static function at(\stdClass $document, string $place): mixed
    {
        $value = $document;
        foreach (explode('.', $place) as $step) {
            $value = match (true) {
                $value instanceof \stdClass && property_exists($value, $step) => $value->{$step},
                is_array($value) && $step === 'last' && $value !== [] => $value[count($value) - 1],
                is_array($value) && array_key_exists((int) $step, $value) => $value[(int) $step],
                default => self::NONE,
            };
        }

        return $value;
    }
}
