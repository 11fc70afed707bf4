import { isPrivate, listPrivateAddresses, localName } from './addresses';

describe('private addresses', () => {
  it('are those of RFC 1918 and RFC 4193, and the machine itself', () => {
    for (const own of ['10.1.2.3', '172.16.0.1', '172.31.255.1', '192.168.0.9', 'fd12::1', '127.0.0.2'])
      expect([own, isPrivate(own)]).toEqual([own, true]);
    for (const wide of ['172.32.0.1', '192.169.0.1', '203.0.113.5', '100.64.0.1', '2001:db8::1', 'fe80::1', '0.0.0.0'])
      expect([wide, isPrivate(wide)]).toEqual([wide, false]);
  });

  it('are listed with version 4 first, without the loopback and what faces the wide world', () => {
    const entry = (address: string, family: 'IPv4' | 'IPv6', internal = false) =>
      ({ address, family, internal, netmask: '', mac: '', cidr: null, scopeid: 0 }) as never;
    expect(
      listPrivateAddresses({
        lo: [entry('127.0.0.1', 'IPv4', true)],
        wlan: [entry('fd00::2', 'IPv6'), entry('192.168.1.20', 'IPv4'), entry('fe80::1', 'IPv6')],
        wan: [entry('203.0.113.5', 'IPv4')],
      }),
    ).toEqual(['192.168.1.20', 'fd00::2']);
  });

  it('have a name of the local network', () => {
    expect(localName('Garage.example.org')).toBe('garage.local');
    expect(localName('')).toBe('workshop.local');
  });
});
