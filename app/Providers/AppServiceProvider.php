<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\SampleRigs;
use App\Database\Sqlite;
use App\Database\SqliteConnector;
use App\Models\Card;
use App\Models\Format;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;
use Linguator\Core\Verb\Services;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', static fn (mixed ...$parts): Sqlite => new Sqlite(...$parts));
        $this->app->bind('db.connector.sqlite', SqliteConnector::class);
        $this->app->singleton(Schemas::class, static fn (): Schemas => new Schemas);
        $this->app->singleton(CardReader::class, fn (): CardReader => new CardReader($this->app->make(Schemas::class)));
        $this->app->singleton(Shelf::class, static fn (): Shelf => new Shelf(Card::documentOf(...)));
        $this->app->singleton(RigReader::class, fn (): RigReader => new RigReader($this->app->make(Schemas::class), $this->app->make(Shelf::class)));
        // Anew for each use: a format may have been kept meanwhile.
        $this->app->bind(Formats::class, fn (): Formats => Formats::with(fn (): array => Format::own($this->app->make(Schemas::class))));
        $this->app->bind(Services::class, fn (): Services => new Services($this->app->make(Formats::class)));
    }

    public function boot(): void
    {
        Model::preventSilentlyDiscardingAttributes();
        JsonResource::withoutWrapping();
        // What can be run and practised on: a rig of the bench, or a sample.
        Route::bind('runnable', fn (string $slug): RigDocument => $this->app->make(SampleRigs::class)->find($slug));
    }
}
