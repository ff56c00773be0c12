<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\Sqlite;
use App\Database\SqliteConnector;
use App\Models\Card;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\ServiceProvider;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Rig\RigReader;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', static fn (mixed ...$parts): Sqlite => new Sqlite(...$parts));
        $this->app->bind('db.connector.sqlite', SqliteConnector::class);
        $this->app->singleton(Schemas::class, static fn (): Schemas => new Schemas);
        $this->app->singleton(CardReader::class, fn (): CardReader => new CardReader($this->app->make(Schemas::class)));
        $this->app->singleton(RigReader::class, fn (): RigReader => new RigReader($this->app->make(Schemas::class), Card::documentOf(...)));
    }

    public function boot(): void
    {
        Model::preventSilentlyDiscardingAttributes();
        JsonResource::withoutWrapping();
    }
}
