"""Keys, frames, deaths of real servers: PYTHONPATH=src:tests python -m bench.servers KIND --what keys."""

import argparse
import os
import tempfile
import time
from contextlib import contextmanager

import numpy as np

import sound_servers
from chronotome.engine.kit_table import KeySound, NoteKind
from chronotome.engine.player import Player
from chronotome.render.arena import Arena
from chronotome.render.mix import Lane, Mix, Side
from sound_servers import RATE, Server, clicks, numbered, numbers, until

KEYS, EVERY = 40, 0.25
WARM_SECONDS = float(os.environ.get("WARM", "20"))


@contextmanager
def running(kind, rate=RATE, **more):
    """A server of a kind, and a player that found it."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(kind, folder, **more)
        before = {name: os.environ.get(name) for name in server.environment}
        os.environ.update(server.environment)
        server.start()
        arena = Arena()
        player = Player(arena, output=server.output)
        try:
            player.start(rate)
            until(lambda: player.state().is_ready)
            yield server, player, arena
        finally:
            player.close()
            server.close()
            for name, value in before.items():
                os.environ.pop(name, None) if value is None else os.environ.update({name: value})


def keys(kind):
    """Intervals of keys that are pressed every 250 ms, as they sounded."""
    with running(kind) as (server, player, arena):
        region = arena.allocate(480, 2)
        region.samples[:] = 0.5
        player.set_kit({0: KeySound(region.offset, 480)})
        time.sleep(WARM_SECONDS)
        recorder = server.recorder()
        begin = time.monotonic() + 1.0
        for number in range(KEYS):
            due = begin + number * EVERY
            time.sleep(max(0.0, due - time.monotonic()))
            player.note(NoteKind.START, 0, stamp=int(due * 1e9))
        time.sleep(1.0)
        at = clicks(recorder.end())
        off = np.diff(at) / RATE * 1e3 - EVERY * 1e3
        print(
            f"{kind}: {player.state().device}: {len(at)} of {KEYS} sounded, intervals sd {off.std():.2f},"
            f" worst {np.abs(off).max():.2f} ms; latency {player.latency * 1e3:.1f} ms",
            flush=True,
        )


def frames(kind, seconds=60):
    """Numbered frames while it is edited: another mix four times a second, the same samples."""
    with running(kind) as (server, player, arena):
        count = seconds * RATE
        region = arena.allocate(count, 2)
        region.samples[:] = numbered(count)

        def mix(serial):
            one = [np.array([value], np.int64) for value in (0, count, region.offset, 2, 0)]
            return Mix(serial, count, (Lane(Side.BOTH, *one),))

        player.publish(mix(1))
        recorder = server.recorder()
        before = player.state().dropouts
        player.play(0)
        began, serial = time.monotonic(), 2
        while time.monotonic() - began < seconds + 1.5:
            time.sleep(0.25)
            player.publish(mix(serial))
            serial += 1
        heard = numbers(recorder.end())
        gaps = np.flatnonzero(np.diff(heard[32:]) != 1)
        print(
            f"{kind}: {player.state().device}: frames {heard[32] if len(heard) > 32 else '-'} to"
            f" {heard[-1] if len(heard) else '-'} of {count}, {len(gaps)} jumps; dropouts told"
            f" {player.state().dropouts - before}",
            flush=True,
        )


def back(kind):
    """A server is killed, and started again."""
    with running(kind) as (server, player, _arena):
        player.seek(RATE)
        time.sleep(0.5)
        for _ in range(2):
            server.kill()
            gone = looked(player, lambda state: state.is_simulated and state.is_ready)
            time.sleep(1.0)
            server.start()
            again = looked(player, lambda state: state.is_ready and not state.is_simulated)
            print(
                f"{kind}: told after {gone:.2f} s, back {again:.2f} s, at {player.state().position:.0f}",
                flush=True,
            )


def looked(player, condition):
    return until(lambda: (player.revive(), condition(player.state()))[1], 20.0)


def main():
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("kinds", nargs="*", default=sound_servers.KINDS)
    parser.add_argument("--what", default="keys")
    chosen = parser.parse_args()
    for kind in chosen.kinds:
        globals()[chosen.what](kind)


if __name__ == "__main__":
    main()
