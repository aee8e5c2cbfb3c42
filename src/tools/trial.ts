console.log('trial');
