<?php

declare(strict_types=1);

it('answers with a strict content security policy', function (): void {
    $policy = (string) $this->get('/api/jobs')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'none'")->toContain("script-src 'self'")->not->toContain('unsafe')->toContain("frame-ancestors 'none'");
    $this->get('/api/jobs')->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeaderMissing('X-Powered-By');
});

it('takes no change from another site', function (array $headers): void {
    $this->flushHeaders()->withHeaders($headers)->postJson('/api/jobs', [])->assertForbidden();
})->with([
    [['Sec-Fetch-Site' => 'cross-site']], [['Sec-Fetch-Site' => 'same-site', 'Origin' => 'http://127.0.0.1:9999']], [['Origin' => 'http://evil.test']], [['Origin' => 'null']],
]);

it('takes changes from its own pages', function (array $headers): void {
    $this->flushHeaders()->withHeaders($headers)->postJson('http://127.0.0.1/api/jobs', [])->assertUnprocessable();
})->with([[['Sec-Fetch-Site' => 'same-origin']], [['Origin' => 'http://127.0.0.1']]]);

it('answers under its own names alone', function (): void {
    $this->getJson('http://evil.test/api/jobs')->assertStatus(421);
});

it('answers an unknown address of the interface without its insides', function (): void {
    $this->getJson('/api/nothing')->assertNotFound()->assertJsonMissingPath('trace');
});
