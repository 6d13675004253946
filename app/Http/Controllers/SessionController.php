<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Accounts;
use App\Accounts\FitPassword;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController
{
    public function __construct(private readonly Accounts $accounts)
    {
    }

    #[OA\Get(path: '/api/session', operationId: 'session', summary: 'Who is signed in', responses: [
        new OA\Response(response: 200, description: 'The user, or null', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
    ])]
    public function show(Request $request): JsonResponse
    {
        return self::session($request->user());
    }

    #[OA\Post(path: '/api/session', operationId: 'signIn', summary: 'Sign in', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Credentials')), responses: [
        new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/FieldErrors')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function signIn(Request $request): JsonResponse
    {
        self::lower($request);
        $request->validate(['email' => 'required|string|email|max:190', 'password' => 'required|string|max:200']);
        $user = $this->accounts->find($request->string('email')->toString(), $request->string('password')->toString());
        if ($user === null) {
            throw ValidationException::withMessages(['email' => 'No account has this address and password.']);
        }
        Auth::login($user);
        $request->session()->regenerate();

        return self::session($user);
    }

    #[OA\Post(path: '/api/registration', operationId: 'register', summary: 'Make an account, where the address is free: the answer is the same where it is not', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Registration')), responses: [
        new OA\Response(response: 202, description: 'Taken: whoever sent it can sign in with it, unless the address had an account already', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 403, description: 'Nobody can make an account here', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/FieldErrors')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function register(Request $request): JsonResponse
    {
        if (! self::isOpen()) {
            return new JsonResponse(['message' => 'Accounts are made by whoever runs this server. Ask there.'], 403);
        }
        self::lower($request);
        $given = ['name' => self::text($request, 'name'), 'email' => self::text($request, 'email')];
        $request->validate([
            'name' => 'required|string|max:80|not_regex:/[\x00-\x1f]/',
            'email' => 'required|string|email|max:190|not_regex:/[\x00-\x1f]/',
            'password' => ['required', 'string', new FitPassword($given['name'], $given['email'])],
        ]);
        $this->accounts->open($given['name'], $given['email'], self::text($request, 'password'));

        return new JsonResponse(['message' => 'If this address had no account, it has one now: sign in with it.'], 202);
    }

    #[OA\Delete(path: '/api/session', operationId: 'signOut', summary: 'Sign out', responses: [
        new OA\Response(response: 200, description: 'Signed out', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return self::session(null);
    }

    private static function isOpen(): bool
    {
        return getenv('REGISTRATION') !== 'closed';
    }

    private static function text(Request $request, string $field): string
    {
        $given = $request->input($field);

        return is_string($given) ? $given : '';
    }

    /** Addresses are kept in small letters. What is no text is left for the fields' own rules. */
    private static function lower(Request $request): void
    {
        $email = $request->input('email');
        if (is_string($email)) {
            $request->merge(['email' => User::written($email)]);
        }
    }

    private static function session(mixed $user): JsonResponse
    {
        return new JsonResponse(['user' => $user instanceof User ? ['name' => $user->name, 'email' => $user->email] : null, 'registration' => self::isOpen()]);
    }
}
