<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController
{
    private const TAKEN = 'There is an account with this address already.';

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
        $credentials = ['email' => $request->string('email')->toString(), 'password' => $request->string('password')->toString()];
        if (! Auth::attempt($credentials)) {
            throw ValidationException::withMessages(['email' => 'No account has this address and password.']);
        }
        $request->session()->regenerate();

        return self::session(Auth::user());
    }

    #[OA\Post(path: '/api/registration', operationId: 'register', summary: 'Make an account', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Registration')), responses: [
        new OA\Response(response: 201, description: 'Made, and signed in', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/FieldErrors')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function register(Request $request): JsonResponse
    {
        self::lower($request);
        $request->validate([
            'name' => 'required|string|max:80',
            'email' => 'required|string|email|max:190|unique:users,email',
            'password' => ['required', 'string', 'max:200', Password::min(10)],
        ], ['email.unique' => self::TAKEN]);
        try {
            $user = User::query()->create([
                'name' => $request->string('name')->toString(),
                'email' => $request->string('email')->toString(),
                'password' => Hash::make($request->string('password')->toString()),
            ]);
        } catch (UniqueConstraintViolationException) {
            // Somebody else was between the question and the answer.
            throw ValidationException::withMessages(['email' => self::TAKEN]);
        }
        Auth::login($user);
        $request->session()->regenerate();

        return self::session($user)->setStatusCode(201);
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

    /** Addresses are kept in small letters. What is no text is left for the fields' own rules. */
    private static function lower(Request $request): void
    {
        $email = $request->input('email');
        if (is_string($email)) {
            $request->merge(['email' => mb_strtolower(mb_scrub($email))]);
        }
    }

    private static function session(mixed $user): JsonResponse
    {
        return new JsonResponse(['user' => $user instanceof User ? ['name' => $user->name, 'email' => $user->email] : null]);
    }
}
