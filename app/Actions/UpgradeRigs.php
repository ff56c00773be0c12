<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Rig\RigHistory;
use Linguator\Core\Rig\RigIdentity;
use Linguator\Core\Rig\RigLog;

/** Makes what older versions kept of rigs like what is kept today. The rigs, and every moment of them, stay as they are. */
final readonly class UpgradeRigs
{
    /** Those without an id: they come from an older bench or backup. */
    public function __invoke(): void
    {
        $query = Rig::query();
        $query->whereNull('uid');
        foreach ($query->get()->sortBy('id')->all() as $rig) {
            $this->upgrade($rig);
        }
    }

    private function upgrade(Rig $rig): void
    {
        $log = $rig->log();
        // Entries told the lists they changed whole, before and after; now they tell what differs.
        foreach ($this->lean($rig->plain(), $log) as $position => $entry) {
            if (isset($entry->lists)) {
                DB::table('rig_entries')->where(['rig_id' => $rig->id, 'position' => $position])->update(['entry' => RigEntry::columns($rig, $position, $entry)['entry']]);
            }
        }
        $whole = $rig->plain();
        $whole->log = array_values($log->entries);
        $uid = RigIdentity::of($whole);
        // Past the model: the rig does not change.
        DB::table('rigs')->where('id', $rig->id)->update([
            'uid' => DB::table('rigs')->where('uid', $uid)->exists() ? ImportRig::newUid() : $uid,
            'face' => Rig::columns($rig->rig())['face'],
        ]);
    }

    /** @return array<int, \stdClass> None for a history written by hand that does not belong to its document: it stays as it is. */
    private function lean(\stdClass $document, RigLog $log): array
    {
        try {
            return (new RigHistory($document, $log))->lean();
        } catch (DocumentError) {
            return [];
        }
    }
}
