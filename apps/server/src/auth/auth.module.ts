import { Body, Controller, Get, Header, HttpCode, Module, Post, Put, Req, Res } from '@nestjs/common';
import { DoorView, PassphraseDto } from '@eurhythm/contract';
import type { Request, Response } from 'express';
import { AllowRoles, whoAsks } from './allowRoles.ts';
import { answers, answersFile, answersNothing } from '../http/answers.ts';
import { addressesOf, InjectReach, type Reach } from './reach.ts';
import { AuthService } from './auth.service.ts';
import { KEY_DAYS } from './key.ts';
import { KEY_COOKIE } from './watchSessions.ts';

const DAY_MS = 86_400_000;

@Controller('api/door')
class AuthController {
  constructor(
    private readonly door: AuthService,
    @InjectReach() private readonly reach: Reach,
  ) {}

  @Get()
  @AllowRoles('coach', 'visitor')
  @answers(DoorView)
  async view(@Req() request: Request): Promise<DoorView> {
    return {
      who: whoAsks(request),
      hasPassphrase: await this.door.hasPassphrase(),
      ...addressesOf(this.reach),
    };
  }

  /** Says the passphrase; who knows it is let in on this device from now on. */
  @Post('open')
  @HttpCode(204)
  @AllowRoles('coach', 'visitor')
  @answersNothing()
  async open(
    @Body() { passphrase }: PassphraseDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    giveKey(request, response, await this.door.open(passphrase, request.socket.remoteAddress ?? ''));
  }

  /** This device is a stranger again. */
  @Post('close')
  @HttpCode(204)
  @AllowRoles('coach', 'visitor')
  @answersNothing()
  close(@Res({ passthrough: true }) response: Response): void {
    response.clearCookie(KEY_COOKIE, { path: '/' });
  }

  /** Sets the passphrase; whoever came in with an older one has to say the new one. */
  @Put('passphrase')
  @HttpCode(204)
  @AllowRoles('coach')
  @answersNothing()
  async set(
    @Body() { passphrase }: PassphraseDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    giveKey(request, response, await this.door.set(passphrase));
  }

  /** The certificate of the gym's own authority, for phones that are to trust it. */
  @Get('authority.crt')
  @AllowRoles('coach', 'visitor')
  @Header('Content-Type', 'application/x-x509-ca-cert')
  @Header('Content-Disposition', 'attachment; filename="eurhythm-authority.crt"')
  @answersFile('application/x-x509-ca-cert')
  authority(): string {
    return this.reach.authority();
  }
}

function giveKey(request: Request, response: Response, key: string): void {
  response.cookie(KEY_COOKIE, key, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    path: '/',
    maxAge: KEY_DAYS * DAY_MS,
  });
}

@Module({ controllers: [AuthController], providers: [AuthService], exports: [AuthService] })
export class AuthModule {}
