<?php

declare(strict_types=1);

it('answers with a strict content security policy', function (): void {
    $policy = (string) $this->get('/api/jobs')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'none'")->toContain("script-src 'self'")->not->toContain('unsafe')->toContain("frame-ancestors 'none'");
    $this->get('/api/jobs')->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeaderMissing('X-Powered-By');
});

it('takes no change without the token of a page of its own, whatever the browser says of where it comes from', function (array $headers): void {
    $this->flushHeaders()->withHeaders($headers)->postJson('/api/jobs', [])->assertStatus(419);
})->with([
    'no header at all' => [[]], 'a token of another session' => [['X-CSRF-TOKEN' => 'of-another']],
    [['Sec-Fetch-Site' => 'cross-site']], [['Origin' => 'http://evil.test']], [['Origin' => 'null']], [['Sec-Fetch-Site' => 'same-origin']],
]);

it('takes changes from its own pages', function (): void {
    $this->postJson('/api/jobs', [])->assertUnprocessable();
});

it('gives a page the cookie from which its script takes the token, and a session that no script reads', function (): void {
    $cookies = collect($this->get('/')->assertOk()->headers->getCookies())->keyBy(fn ($cookie) => $cookie->getName());
    expect($cookies['XSRF-TOKEN']->getSameSite())->toBe('lax')
        ->and($cookies['tall-crow']->isHttpOnly())->toBeTrue()->and($cookies['tall-crow']->getSameSite())->toBe('lax');
});

it('keeps cookies and pages to TLS where it is served so', function (): void {
    $answer = $this->get('https://127.0.0.1/');
    $cookies = collect($answer->headers->getCookies())->keyBy(fn ($cookie) => $cookie->getName());
    expect($cookies['tall-crow']->isSecure())->toBeTrue()->and($cookies['XSRF-TOKEN']->isSecure())->toBeTrue();
    $answer->assertHeader('Strict-Transport-Security');
    $this->get('http://127.0.0.1/')->assertHeaderMissing('Strict-Transport-Security');
});

it('answers under its own names alone', function (): void {
    $this->getJson('http://evil.test/api/jobs')->assertStatus(421);
});

it('answers an unknown address of the interface without its insides', function (): void {
    $this->getJson('/api/nothing')->assertNotFound()->assertJsonMissingPath('trace');
});
