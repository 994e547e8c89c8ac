"""Keys, takes, clock of real servers: PYTHONPATH=src:tests python -m bench.servers KIND --what keys."""

import argparse
import os
import tempfile
import time
from contextlib import contextmanager

import numpy as np

import sound_servers
from chronotome.dsp.take_marks import place_of
from chronotome.engine.control import InTime
from chronotome.engine.kit_table import KeySound, NoteKind
from chronotome.engine.player import Player
from chronotome.render.arena import Arena
from chronotome.render.mix import Mix, MixLane, Side
from chronotome.render.take_ring import TakeWord
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.metre import Metre, metre_map
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


def one_lane(arena, count, serial=1):
    """Numbered frames as a mix, and the arena's region that holds them."""
    region = arena.allocate(count, 2)
    region.samples[:] = numbered(count)
    return region, mix_of(region, count, serial)


def mix_of(region, count, serial):
    columns = [np.array([value], np.int64) for value in (0, count, region.offset, 2, 0)]
    return Mix(serial, count, (MixLane(Side.BOTH, *columns),))


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
        region, mix = one_lane(arena, count)
        player.publish(mix)
        recorder = server.recorder()
        before = player.state().dropouts
        player.play(0)
        began, serial = time.monotonic(), 2
        while time.monotonic() - began < seconds + 1.5:
            time.sleep(0.25)
            player.publish(mix_of(region, count, serial))
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


def notes(kind):
    """Notes of another program on JACK at exact frames, as they sounded."""
    with running(kind, period=512) as (server, player, arena):
        region = arena.allocate(480, 2)
        region.samples[:] = 0.5
        player.set_kit({0: KeySound(region.offset, 480)})
        peer = server.peer()
        until(lambda: "Chronotome:keys" in peer.ask("connections", "peer:said"))
        recorder = server.recorder()
        first, every = peer.ask("now") + RATE, round(EVERY * RATE) + 7
        peer.ask("send", [[first + number * every, [0x90, 36, 100]] for number in range(KEYS)])
        time.sleep(2.0 + KEYS * EVERY)
        at = clicks(recorder.end()) + recorder.first - first
        off = (np.diff(at) + every / 2) % every - every / 2
        print(
            f"{kind}: {len(at)} of {KEYS} sounded, {1e3 * np.median(at % every) / RATE:.2f} ms later;"
            f" intervals sd {1e3 * off.std() / RATE:.3f}, worst {1e3 * np.abs(off).max() / RATE:.3f} ms",
            flush=True,
        )


def clock(kind, seconds=60):
    """The clock that goes out, against an even line; and the tempo that is heard of one that comes in."""
    with running(kind, period=512) as (server, player, _arena):
        player.set_beats(TempoMap((TempoChange(0.0, 123.4),)), metre_map(Metre()))
        peer = server.peer()
        until(lambda: "peer:heard" in player.clock_words.split("\n"))
        player.send_clock(["peer:heard"])
        until(lambda: "peer:heard" in peer.ask("connections", "Chronotome:clock"))
        player.play(0)
        time.sleep(1.0)
        peer.ask("told")
        time.sleep(seconds)
        ticks = np.array([frame for frame, data in peer.ask("told") if data == [0xF8]])
        off = np.diff(ticks) - RATE * 60 / 123.4 / 24
        whole = np.abs(off) < 48  # else a cycle was left out, of the song as well
        player.keep_in_time(InTime.CLOCK)
        first, every = peer.ask("now") + RATE // 4, RATE * 60 / 97.3 / 24
        peer.ask("send", [[round(first + each * every), [0xF8]] for each in range(400)])
        time.sleep(4.0)
        heard = []
        for _ in range(20):
            time.sleep(0.2)
            heard.append(player.clock_tempo or 0.0)
        print(
            f"{kind}: {len(ticks)} ticks out, intervals sd {1e3 * off[whole].std() / RATE:.4f} ms, at"
            f" {np.sum(~whole)} a cycle was left out; in: {min(heard):.4f} to {max(heard):.4f} of 97.3",
            flush=True,
        )


def transport(kind, seconds=600):
    """Another program's transport is followed: by how much what is heard is elsewhere, over ten minutes."""
    with running(kind) as (server, player, arena):
        count = (seconds + 5) * RATE
        player.publish(one_lane(arena, count)[1])
        player.keep_in_time(InTime.JACK)
        peer = server.peer()
        until(lambda: player.in_time == InTime.JACK)
        peer.ask("roll")
        off = []
        for _ in range(10):
            time.sleep(seconds / 10 - 1.0)
            recorder = server.recorder()
            peer.ask("watch")
            time.sleep(1.0)
            heard = recorder.end()
            for began, is_rolling, place in peer.ask("watched"):
                at = began - recorder.first
                if is_rolling and 0 <= at < len(heard) and heard[at, 1] > 0:
                    off.append(place - int(numbers(heard[at : at + 1])[0]))
        print(
            f"{kind}: {len(off)} cycles of {seconds} s looked at, {sum(each != 0 for each in off)} elsewhere,"
            f" at the end {off[-1]}; dropouts {player.state().dropouts}",
            flush=True,
        )


def takes(kind, openings=10):
    """A take of what is played, through a cable, against what was heard, each with the input opened anew."""
    with running(kind) as (server, player, arena):
        count = 30 * RATE
        player.publish(one_lane(arena, count)[1])
        time.sleep(WARM_SECONDS)
        peer = server.peer() if server.is_jack else None
        if peer is not None:
            peer.ask("cable")
            for side in ("left", "right"):
                peer.ask("connect", f"Chronotome:main {side}", f"peer:in {side}")
        found = []
        for _ in range(openings):
            player.open_input(is_simulated=False)
            time.sleep(0.7)
            if peer is not None:
                until(lambda: "Chronotome:in right" in peer.ask("ports"))
                for side in ("left", "right"):
                    peer.ask("connect", f"peer:out {side}", f"Chronotome:in {side}")
            player.notes_played()
            player.play(0)
            player.begin_take()
            time.sleep(8.0)
            player.control.take.set(TakeWord.IS_ON, 0)
            notes = [note for note in player.notes_played() if note.kind == NoteKind.TAKE and note.frame >= 0]
            marks = np.array([(note.key, note.frame - note.key) for note in notes], np.int64).reshape(-1, 2)
            heard = player.taken()
            player.stop()
            player.close_input()
            time.sleep(0.5)
            whole = np.flatnonzero(heard[:, 1] > 0)[2000:]
            number = np.rint(heard[whole].astype(np.float64) * 32768).astype(np.int64)
            true = np.median(number[:, 0] + 32768 * (number[:, 1] - 1) - whole)
            found.append((place_of(marks[:, 0], marks[:, 1], RATE) - true) * 1e3 / RATE)
        off = np.array(found) - np.median(found)
        print(
            f"{kind}: {openings} openings: delay {np.median(found):.2f} ms, others off by sd {off.std():.2f},"
            f" worst {np.abs(off).max():.2f} ms ({', '.join(f'{each:.1f}' for each in found)})",
            flush=True,
        )


def main():
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("kinds", nargs="*", default=sound_servers.KINDS)
    parser.add_argument("--what", default="keys")
    chosen = parser.parse_args()
    for kind in chosen.kinds:
        try:
            globals()[chosen.what](kind)
        except AssertionError as error:
            print(f"{kind}: {error}", flush=True)


if __name__ == "__main__":
    main()
