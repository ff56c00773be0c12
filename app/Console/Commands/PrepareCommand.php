<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\PrepareBench;
use App\Database\Trouble;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;

final class PrepareCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:prepare';

    /** @var string */
    protected $description = 'Looks at the bench\'s file, brings it up to date, and loads the demo into an empty one. bin/start asks it.';

    public function handle(PrepareBench $prepare): int
    {
        $trouble = $prepare(config()->string('database.connections.sqlite.database'));
        try {
            if ($trouble === null) {
                return $this->call('linguator:demo', ['--if-empty' => true]);
            }
        } catch (QueryException $error) {
            $trouble = Trouble::of($error) ?? throw $error;
        }
        $this->output->getErrorStyle()->writeln($trouble->sentence);

        return self::FAILURE;
    }
}
