<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Testing\TestResponse;

abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    /** Puts the demo bench into this test's database. */
    public function demo(): static
    {
        $this->artisan('linguator:demo')->assertSuccessful();

        return $this;
    }

    /** Sends a body as it is, also when it is no sound JSON. */
    public function raw(string $method, string $address, string $body): TestResponse
    {
        return $this->call($method, "/api/v1/$address", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'text/html'], content: $body);
    }
}
