"""Another program on a JACK server: records, plays, sends notes, moves the transport as it is told.

It reads a list of words a line, and answers with one line each.
"""

import json
import sys
import time

import jack
import numpy as np

SIDES = "left", "right"


class Peer:
    def __init__(self, name):
        self.client = client = jack.Client(name, no_start_server=True)
        self.ins = [client.inports.register(f"in {side}") for side in SIDES]
        self.outs = [client.outports.register(f"out {side}") for side in SIDES]
        has_midi = name == "peer"  # a recorder that is listened to would hear a cycle later
        self.midi_in = client.midi_inports.register("heard") if has_midi else None
        self.midi_out = client.midi_outports.register("said") if has_midi else None
        self.heard, self.messages, self.due, self.places = [], [], [], []
        self.is_recording = self.is_watching = self.is_cable = False
        self.played, self.at = None, None
        self.path = None
        client.set_process_callback(self.cycle)
        client.activate()

    def cycle(self, frames):
        began = self.client.last_frame_time
        if self.is_recording:
            self.heard.append((began, np.stack([port.get_array().copy() for port in self.ins], 1)))
        for side, port in enumerate(self.outs):
            out = port.get_array()
            out[:] = self.ins[side].get_array() if self.is_cable else 0
            if self.played is not None:
                self.at = began if self.at is None else self.at
                part = self.played[began - self.at : began - self.at + frames, side]
                out[: len(part)] += part
        if self.midi_in is not None:
            for at, data in self.midi_in.incoming_midi_events():
                self.messages.append((began + at, list(bytes(data))))
            self.midi_out.clear_buffer()
            while self.due and self.due[0][0] < began + frames:
                frame, data = self.due.pop(0)
                self.midi_out.write_midi_event(max(0, frame - began), bytes(data))
        if self.is_watching:
            state, position = self.client.transport_query_struct()
            self.places.append((began, state == jack.ROLLING, int(position.frame)))

    # What is asked

    def frames(self):
        return self.client.blocksize

    def now(self):
        return self.client.frame_time

    def ports(self):
        return [port.name for port in self.client.get_ports()]

    def connect(self, source, target):
        if not any(port.name == target for port in self.client.get_all_connections(source)):
            self.client.connect(source, target)

    def connections(self, port):
        return [each.name for each in self.client.get_all_connections(port)]

    def record(self, path):
        self.path, self.heard, self.is_recording = path, [], True

    def end(self):
        self.is_recording = False
        time.sleep(0.05)
        first, last = self.heard[0][0], self.heard[-1][0] + len(self.heard[-1][1])
        whole = np.zeros((last - first, 2), np.float32)
        for began, block in self.heard:
            whole[began - first : began - first + len(block)] = block
        whole.tofile(self.path)
        return first

    def play(self, path):
        self.played, self.at = np.fromfile(path, np.float32).reshape(-1, 2), None

    def cable(self):
        """What comes in goes out."""
        self.is_cable = True

    def send(self, messages):
        """Messages at frames of the server's counter."""
        self.due = sorted([*self.due, *messages])

    def told(self):
        messages, self.messages = self.messages, []
        return messages

    def watch(self):
        self.places, self.is_watching = [], True

    def watched(self):
        return self.places

    def roll(self):
        self.client.transport_start()

    def halt(self):
        self.client.transport_stop()

    def locate(self, frame):
        self.client.transport_locate(frame)

    def transport(self):
        state, position = self.client.transport_query_struct()
        return (
            state == jack.ROLLING,
            int(position.frame),
            float(position.beats_per_minute),
            int(position.bar),
            int(position.beat),
        )


def main():
    peer = Peer(sys.argv[1])
    for line in sys.stdin:
        word, *values = json.loads(line)
        try:
            answer = {"value": getattr(peer, word)(*values)}
        except Exception as error:  # noqa: BLE001 - told to who asked
            answer = {"error": repr(error)}
        sys.stdout.write(json.dumps(answer) + "\n")
        sys.stdout.flush()
    peer.client.deactivate()
    peer.client.close()


if __name__ == "__main__":
    main()
